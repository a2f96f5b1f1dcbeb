import { Title } from '@angular/platform-browser';
import { TestBed } from '@angular/core/testing';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { PrintHead } from './print-head';

it('a printed page says what it is, of which site and school, and who printed it when', async () => {
  const { element } = await showView(PrintHead, 'messages', {});
  expect(textOf(element)).toBe('');
  TestBed.inject(Title).setTitle('Day sheet, Thu 14 May – Brave Comb');
  globalThis.dispatchEvent(new Event('beforeprint'));
  expect(textOf(element)).toMatch(
    /^Day sheet, Thu 14 May Home orchard, Brenna Fell printed \w+day \d+ \w+ \d{4}, \d\d:\d\d by Morag Selkirk$/,
  );
});
