import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ROOT, npm } from './npm';

const EXAMPLE = join(ROOT, 'docs/formats/situation.example.json');

describe('advice on the command line', () => {
  let folder = '';
  const written = (name: string, content: unknown) => {
    writeFileSync(join(folder, name), typeof content === 'string' ? content : JSON.stringify(content));
    return join(folder, name);
  };
  beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), 'brave-comb-advise-'));
  });
  afterAll(() => {
    rmSync(folder, { recursive: true, force: true });
  });

  it('is JSON on the output and text beside it', async () => {
    const { code, said, errors } = await npm(folder, 'advise', '--', EXAMPLE);
    expect(code).toBe(0);
    const judged = JSON.parse(said) as { format: string; advice: { kind: string; title: string }[] };
    expect(judged).toMatchObject({ format: 'colony-advice/1', hive: '7', phase: 'dearth' });
    expect(judged.advice[0]).toMatchObject({ kind: 'feed', confidence: 'firm', by: '2026-06-19' });
    expect(errors).toContain(`1. ${judged.advice[0]!.title}`);
    expect(errors).toContain('Other practice: ');
  });

  it('is refused with a line for each fault, of its shape and of what it says', async () => {
    const bare = {
      format: 'colony-situation/1',
      date: '2026-05-14',
      site: { latitude: 53.4, longitude: -1.6 },
      hive: { stack: ['national-brood'] },
    };
    const shape = await npm(folder, 'advise', '--', written('shape.json', { ...bare, date: '14 May', hives: 1 }));
    expect(shape.code).not.toBe(0);
    expect(shape.errors).toContain('date: Dates are written YYYY-MM-DD.');
    expect(shape.errors).toMatch(/\(file\): .*hives/);
    const said = await npm(
      folder,
      'advise',
      '--',
      written('said.json', { ...bare, visit: { sides: ['6/9: 3S', '13/12: H'] } }),
    );
    expect(said.code).not.toBe(0);
    expect(said.errors).toContain('visit.sides.0');
    expect(said.errors).toContain('visit.sides.1');
    const torn = await npm(folder, 'advise', '--', written('torn.json', '{"format":'));
    expect(torn.errors).toContain('torn.json is not JSON');
    expect((await npm(folder, 'advise')).errors).toContain('Use: npm run');
  });
});
