import { type RefObject, useState } from "react";
import { Button } from "~/ui/button";

const carried = [
  "fill",
  "fill-opacity",
  "stroke",
  "stroke-width",
  "stroke-dasharray",
  "stroke-opacity",
  "stroke-linejoin",
  "opacity",
  "font-family",
  "font-size",
  "font-weight",
  "text-anchor",
  "paint-order",
  "vector-effect",
];

/** A drawing of the page as a file of its own: every look that the page's styles give it is written into it. */
function standAlone(svg: SVGSVGElement): { text: string; width: number; height: number } {
  const { width, height } = svg.getBoundingClientRect();
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const originals = [svg, ...svg.querySelectorAll("*")];
  [copy, ...copy.querySelectorAll("*")].forEach((element, i) => {
    const look = getComputedStyle(originals[i] as Element);
    const style = carried.map((name) => `${name}:${look.getPropertyValue(name)}`).join(";");
    element.setAttribute("style", style);
    element.removeAttribute("class");
  });
  const ground = getComputedStyle(document.documentElement).getPropertyValue("--room-panel");
  if (!copy.getAttribute("viewBox")) copy.setAttribute("viewBox", `0 0 ${width} ${height}`);
  const [x, y, w, h] = (copy.getAttribute("viewBox") ?? "0 0 1 1").split(/[\s,]+/);
  const paper = document.createElementNS("http://www.w3.org/2000/svg", "rect");
  for (const [name, value] of Object.entries({ x, y, width: w, height: h, fill: ground }))
    paper.setAttribute(name, value ?? "");
  copy.insertBefore(paper, copy.firstChild);
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  copy.setAttribute("width", String(width));
  copy.setAttribute("height", String(height));
  return { text: new XMLSerializer().serializeToString(copy), width, height };
}

async function asPng({ text, width, height }: ReturnType<typeof standAlone>): Promise<Blob | null> {
  const picture = new Image();
  picture.src = URL.createObjectURL(new Blob([text], { type: "image/svg+xml" }));
  await picture.decode();
  const canvas = document.createElement("canvas");
  canvas.width = Math.round(width * 2);
  canvas.height = Math.round(height * 2);
  canvas.getContext("2d")?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  URL.revokeObjectURL(picture.src);
  return new Promise((done) => canvas.toBlob(done, "image/png"));
}

/** Saves the first drawing inside of an element as SVG or PNG. */
export function SavePicture({ of, name }: { of: RefObject<HTMLElement | null>; name: string }) {
  const [failed, setFailed] = useState(false);
  const save = async (kind: "svg" | "png") => {
    const svg = [...(of.current?.querySelectorAll("svg") ?? [])].sort((a, b) => b.clientWidth - a.clientWidth)[0];
    const drawing = svg && standAlone(svg);
    const blob =
      drawing &&
      (kind === "svg" ? new Blob([drawing.text], { type: "image/svg+xml" }) : await asPng(drawing).catch(() => null));
    setFailed(!blob);
    if (!blob) return;
    const link = document.createElement("a");
    link.href = URL.createObjectURL(blob);
    link.download = `${name}.${kind}`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 1000);
  };
  return (
    <span className="inline-flex gap-2 items-center">
      <Button kind="quiet" onClick={() => save("svg")} aria-label={`${name} as SVG`}>
        SVG
      </Button>
      <Button kind="quiet" onClick={() => save("png")} aria-label={`${name} as PNG`}>
        PNG
      </Button>
      {failed && <span role="alert">There is no drawing to save.</span>}
    </span>
  );
}
