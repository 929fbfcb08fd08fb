import { callTool, tools } from "../calc";

export type CalcQuestion = { tool: string; input: unknown };
export type CalcNews = { share: number } | { answer: ReturnType<typeof callTool> };

/** A tool of calc run beside the page, which stays quick meanwhile; tells how far it is. To call it off, end the worker. */
self.onmessage = ({ data }: MessageEvent<CalcQuestion>) => {
  const tell = (news: CalcNews) => self.postMessage(news);
  const tool = tools.find(({ name }) => name === data.tool);
  if (!tool) throw new Error(`no tool ${data.tool}`);
  tell({ answer: callTool(tool, data.input, (share) => tell({ share })) });
};
