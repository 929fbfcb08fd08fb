import { expect, test } from "vitest";
import { readPaper } from "./paper-sheet";

const refusal = (text: string) => {
  const read = readPaper(text);
  return read.ok ? null : `${read.refusal.code} ${read.refusal.path.join(" ")}`;
};

test("each day is a round, oldest first; semicolons, points in days, repeats and struck readings as people write them", () => {
  const read = readPaper(
    "\uFEFFTooth;Day;Reading;Struck;Kept by;Set after\r\n1;31.5.2024;0,12;;K. Ferro;\r\n9;31.5.2024;0,14;x;;\r\n1;31.5.2024;0,13;;;yes\r\n\r\n1;2023-06-01;5 thou;;;no\r\n",
  );
  expect(read.ok && read.value).toEqual([
    {
      ...{ date: "2023-06-01", keptBy: "", movedAfter: "no" },
      readings: [{ tooth: 1, turn: 1, typed: "5 thou", struck: false, repeats: null, line: 5 }],
    },
    {
      ...{ date: "2024-05-31", keptBy: "K. Ferro", movedAfter: "yes" },
      readings: [
        { tooth: 1, turn: 1, typed: "0,12", struck: false, repeats: null, line: 2 },
        { tooth: 9, turn: 1, typed: "0,14", struck: true, repeats: null, line: 3 },
        { tooth: 1, turn: 1, typed: "0,13", struck: false, repeats: 0, line: 4 },
      ],
    },
  ]);
});

test("what is wrong is said with its line and column", () => {
  const sheet = (line: string) => `date,place,value,turn,struck out,moved after\n2024-01-02,1,0.1\n${line}`;
  expect(refusal("day,tooth\n1,2")).toBe("column-missing lines 1 value");
  expect(refusal("date,place,value")).toBe("no-lines lines");
  expect(refusal(sheet(",1,0.1"))).toBe("missing lines 3 date");
  expect(refusal(sheet("2024-02-30,1,0.1"))).toBe("not-understood lines 3 date");
  expect(refusal(sheet("2024-01-03,mark,0.1"))).toBe("not-understood lines 3 place");
  expect(refusal(sheet("2024-01-03,0,0.1"))).toBe("not-understood lines 3 place");
  expect(refusal(sheet("2024-01-03,1,"))).toBe("missing lines 3 value");
  expect(refusal(sheet("2024-01-03,1,0.1,twice"))).toBe("not-understood lines 3 turn");
  expect(refusal(sheet("2024-01-03,1,0.1,1,perhaps"))).toBe("not-understood lines 3 struck");
  expect(refusal(sheet("2024-01-03,1,0.1,1,,perhaps"))).toBe("not-understood lines 3 moved");
});
