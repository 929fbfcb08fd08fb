import { BenchPage } from "../bench-page";
import { firstAnswer } from "../first-answer.server";
import { tool } from "../measures/closure";

export { tool };
export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
