import type { Result } from "../core/quantity";
import { planShaft, type ShaftPlan } from "../core/shafts";
import type { ShaftQuestion } from "../core/stacks";

export type ShaftNews = { share: number } | { answer: Result<ShaftPlan> };

/** The plan of a shaft, found beside the page; tells how far it is. To call it off, end the worker. */
self.onmessage = ({ data }: MessageEvent<ShaftQuestion>) => {
  const tell = (news: ShaftNews) => self.postMessage(news);
  tell({ answer: planShaft(data, (share) => tell({ share })) });
};
