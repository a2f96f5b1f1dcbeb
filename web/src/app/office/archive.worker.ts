import { type ReadNews, readArchive } from './archive-read';

/** Reads an archive away from the page. */
addEventListener('message', ({ data }: MessageEvent<Blob>) => {
  void readArchive(data.stream(), (news: ReadNews) => postMessage(news));
});
