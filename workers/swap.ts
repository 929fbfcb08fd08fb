import { type SwapAnswer, type SwapQuestion, swapOptions } from "../core/gears";

export type SwapNews = { share: number } | { answer: SwapAnswer };

/** Other gears for a place, looked for beside the page; tells how far it is. To call it off, end the worker. */
self.onmessage = ({ data }: MessageEvent<SwapQuestion>) => {
  const tell = (news: SwapNews) => self.postMessage(news);
  tell({ answer: swapOptions(data, (share) => tell({ share })) });
};
