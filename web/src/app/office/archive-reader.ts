import { Injectable } from '@angular/core';
import type { ReadNews } from './archive-read';

/** Has an archive read by a worker, so that the page can be used and left meanwhile. */
@Injectable({ providedIn: 'root' })
export class ArchiveReader {
  /**
   * Begins to read.
   *
   * @returns what gives it up
   */
  read(file: Blob, tell: (news: ReadNews) => void): () => void {
    const worker = new Worker(new URL('./archive.worker', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<ReadNews>) => {
      if (data.is !== 'on-its-way') worker.terminate();
      tell(data);
    };
    worker.onerror = () => {
      worker.terminate();
      tell({ is: 'refused', why: null });
    };
    worker.postMessage(file);
    return () => worker.terminate();
  }
}
