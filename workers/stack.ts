import type { Result } from "../core/quantity";
import { type StackAnswer, type StackQuestion, shimStack } from "../core/stacks";

export type StackNews = { share: number } | { answer: Result<StackAnswer> };

/** The stack for a gap, found beside the page; tells how far it is. To call it off, end the worker. */
self.onmessage = ({ data }: MessageEvent<StackQuestion>) => {
  const tell = (news: StackNews) => self.postMessage(news);
  tell({ answer: shimStack(data, (share) => tell({ share })) });
};
