// How a school of five years comes in: 100,000 sides and 300 photos, streamed, beside the memory that the server takes for it.
import { randomBytes, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream, readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip, gunzipSync } from 'node:zlib';

const PATH = '/api/archive/school';
const SIDES = 100_000;
const PHOTOS = 300;
const PHOTO_BYTES = 250_000;

/** Memory that the server's process holds, MB. */
function held() {
  const read = (pid, what) => {
    try {
      return readFileSync(`/proc/${pid}/${what}`, 'utf8');
    } catch {
      return ''; // It has ended meanwhile.
    }
  };
  const servers = readdirSync('/proc').filter(
    (pid) => /^\d+$/.test(pid) && read(pid, 'cmdline').includes('server/dist/serve'),
  );
  return Math.max(0, ...servers.map((pid) => Number(/VmRSS:\s+(\d+)/.exec(read(pid, 'status'))?.[1] ?? 0) / 1024));
}

function* grown(lines) {
  const entries = lines.filter(
    ({ table, row }) => table === 'visit_entries' && row.body.kind === 'frame-side-recorded',
  );
  const visits = lines.filter(({ table }) => table === 'visits');
  const [first] = lines;
  const counts = { ...first.head.tables };
  counts.visit_entries += SIDES;
  counts.attachments += PHOTOS;
  yield { head: { ...first.head, tables: counts } };
  let rows = 0;
  for (const name of Object.keys(counts)) {
    for (const line of lines)
      if (line.table === name) {
        rows += 1;
        yield line;
      }
    const more = name === 'visit_entries' ? SIDES : name === 'attachments' ? PHOTOS : 0;
    rows += more;
    for (let at = 0; at < more; at += 1) {
      const visit = visits[at % visits.length].row;
      if (name === 'visit_entries') {
        const { row } = entries[at % entries.length];
        yield { table: name, row: { ...row, id: randomUUID(), visit: visit.id } };
      } else {
        const content = randomBytes(PHOTO_BYTES).toString('base64');
        const row = { id: randomUUID(), school: visit.school, visit: visit.id, by_person: visit.supervisor };
        yield {
          table: name,
          row: { ...row, taken_at: visit.started_at, content, type: 'image/jpeg', bytes: PHOTO_BYTES },
        };
      }
    }
  }
  yield { end: { rows } };
}

/**
 * @param address of a demo server
 * @param cookie of its owner
 * @param folder for the file
 * @returns MB of the file and unpacked, seconds in and out, MB that the server took more while it came in
 */
export async function archiveComesIn(address, cookie, folder) {
  const file = join(folder, 'five-years.jsonl.gz');
  const small = Buffer.from(await (await fetch(address + PATH, { headers: { cookie } })).arrayBuffer());
  const lines = gunzipSync(small)
    .toString('utf8')
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line));
  let bytes = 0;
  const written = function* () {
    for (const line of grown(lines)) {
      const text = `${JSON.stringify(line)}\n`;
      bytes += text.length;
      yield text;
    }
  };
  await pipeline(Readable.from(written()), createGzip({ level: 1 }), createWriteStream(file));
  const before = held();
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, held())), 250);
  let began = performance.now();
  const replaces = encodeURIComponent(lines[0].head.school.name);
  const answer = await fetch(`${address}${PATH}?replaces=${replaces}`, {
    method: 'POST',
    headers: { cookie, origin: address, 'content-type': 'application/gzip' },
    body: Readable.toWeb(createReadStream(file)),
    duplex: 'half',
  });
  if (!answer.ok) throw new Error(await answer.text());
  const seconds = (performance.now() - began) / 1000;
  const memoryIn = most - before;
  began = performance.now();
  most = held();
  const beforeOut = most;
  const out = await fetch(address + PATH, { headers: { cookie } });
  let outBytes = 0;
  for await (const piece of out.body) outBytes += piece.length;
  clearInterval(watch);
  return {
    file: statSync(file).size / 1e6,
    unpacked: bytes / 1e6,
    seconds,
    memoryIn,
    out: (performance.now() - began) / 1000,
    outFile: outBytes / 1e6,
    memoryOut: most - beforeOut,
  };
}
