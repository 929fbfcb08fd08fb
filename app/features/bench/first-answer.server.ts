import type { LoaderFunctionArgs, RouterContextProvider } from "react-router";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { CalcAnswer } from "~/calc/call";
import type { BenchTool } from "./bench-tool";
import { textsIn } from "./texts-in";

/** The loader of a tool's page: the answer to what its address asks, or to its example, so that it stands there with the page. */
export const firstAnswer =
  (tool: BenchTool) =>
  ({ context, request }: LoaderFunctionArgs<RouterContextProvider>): Promise<CalcAnswer | null> =>
    asPerson(context, request, everyRole, async () => {
      if (tool.beside) return null;
      const { searchParams } = new URL(request.url);
      // Not of the page's address: which loaders the router asks for.
      searchParams.delete("_routes");
      const { input } = tool.read(textsIn(searchParams, tool));
      return input && (await tool.compute.load())(input);
    });
