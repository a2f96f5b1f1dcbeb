import { type ReadNews, readArchive } from './archive-read';

/** Reads an archive away from the page. */
addEventListener('message', ({ data }: MessageEvent<Blob>) => {
  void readArchive(data, (news: ReadNews) => postMessage(news));
});
