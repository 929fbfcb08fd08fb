import type { BenchTool } from "./bench-tool";
import { fastenOrder } from "./fasten-order";
import { fit } from "./fit";
import { identify } from "./identify";
import { pair } from "./pair";
import { span } from "./span";
import { verdict } from "./verdict";

export const benchTools: readonly BenchTool[] = [identify, pair, span, fit, verdict, fastenOrder];
