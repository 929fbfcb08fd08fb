import { describe, expect, test } from "vitest";
import type { KeptDriveLine } from "~/core/stages";
import { changeLink, driveStage, emptyLine, lineTexts, withFigures } from "./edit";

const links = (graph: KeptDriveLine) => graph.links.map(({ stageId, from, onto }) => [stageId, from, onto]);
const output = (at: string) => ({ at, name: at, wheelDiameterMm: null, scale: null });

describe("what drives what, chosen stage by stage", () => {
  test("a stage joins the line, changes its driver in place, and keeps what it drives and which gear is in", () => {
    const two = driveStage(driveStage(emptyLine, "belt", "source-0"), "gears", "belt");
    expect(links(two)).toEqual([
      ["belt", "source-0", null],
      ["gears", "belt", null],
    ]);
    const geared = changeLink(two, "belt", { gear: 1, onto: "gears" });
    const moved = driveStage(geared, "belt", "source-1");
    expect(links(moved)).toEqual([
      ["belt", "source-1", "gears"],
      ["gears", "belt", null],
    ]);
    expect(moved.links[0]?.gear).toBe(1);
  });

  test("a stage taken out leaves nothing behind that names it", () => {
    const line = {
      ...changeLink(driveStage(driveStage(emptyLine, "a", "source-0"), "b", "source-0"), "b", { onto: "a" }),
      outputs: [output("a"), output("b")],
    };
    const without = driveStage(line, "a", null);
    expect(links(without)).toEqual([["b", "source-0", null]]);
    expect(without.outputs.map(({ at }) => at)).toEqual(["b"]);
  });

  test("stages on one shaft are laid apart, and one that stays on its shaft keeps its angle", () => {
    let line = emptyLine;
    for (const id of ["a", "b", "c"]) line = driveStage(line, id, "source-0");
    const angles = line.links.map(({ angleDeg }) => angleDeg);
    expect(new Set(angles).size).toBe(3);
    const turned = changeLink(line, "a", { angleDeg: 33 });
    expect(driveStage(turned, "a", "source-0").links[0]?.angleDeg).toBe(33);
  });
});

describe("figures are texts until they are saved", () => {
  const fan = { id: "beside-0", name: "", perMinute: 0 };
  const line: KeptDriveLine = { ...emptyLine, outputs: [output("source-0")], beside: [fan] };
  test("point and comma, units, and nothing for what nobody knows", () => {
    const motor = { "source-0.name": " ", "source-0.rpm": "1440", "source-0.torque": "14,6" };
    const texts = { ...motor, "output.0.wheel": "3 in", "beside-0.name": "Fan", "beside-0.perMinute": "1425" };
    const read = withFigures(line, texts);
    expect(read).toMatchObject({
      ok: true,
      value: {
        sources: [{ name: "Motor", rpm: 1440, torqueNm: 14.6 }],
        outputs: [{ wheelDiameterMm: expect.closeTo(76.2, 9), scale: null }],
        beside: [{ id: "beside-0", name: "Fan", perMinute: 1425 }],
      },
    });
    if (read.ok) expect(withFigures(read.value, lineTexts(read.value))).toEqual(read);
  });
  test.each([
    [{ "source-0.rpm": "fast" }, "not-a-number", "source-0.rpm"],
    [{ "source-0.rpm": "0" }, "too-small", "source-0.rpm"],
    [{ "source-0.torque": "3 mm" }, "wrong-dimension", "source-0.torque"],
    [{ "output.0.scale": "-2" }, "too-small", "output.0.scale"],
    [{ "beside-0.perMinute": " " }, "missing", "beside-0.perMinute"],
  ])("%o is named at its field", (texts, code, field) => {
    expect(withFigures(line, { "beside-0.perMinute": "9", ...texts })).toMatchObject({
      ok: false,
      refusal: { code, path: [field] },
    });
  });
});
