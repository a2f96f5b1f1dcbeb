import { keepFocus } from './keep-focus';

const later = () => new Promise((done) => setTimeout(done));

describe('focus on a control that goes', () => {
  const page = (inner: string) => {
    document.body.innerHTML = `<main>${inner}</main>`;
    return (selector: string) => document.querySelector<HTMLElement>(selector)!;
  };
  beforeAll(() => keepFocus(document));

  it('goes to the nearest part of the page that is left', async () => {
    const at = page('<section id="far"><section id="near"><button>Close</button></section></section>');
    at('button').focus();
    at('button').remove();
    await later();
    expect(document.activeElement).toBe(at('#near'));
    at('#near').remove();
    await later();
    expect(document.activeElement).toBe(at('#far'));
  });

  it('stays where something else has taken it, or where it was let go of by itself', async () => {
    const at = page('<section><button id="a">A</button><button id="b">B</button></section>');
    at('#a').focus();
    at('#b').focus();
    at('#a').remove();
    await later();
    expect(document.activeElement).toBe(at('#b'));
    at('#b').blur();
    at('section').append('more');
    await later();
    expect(document.activeElement).toBe(document.body);
  });
});
