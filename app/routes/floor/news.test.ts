import { expect, test } from "vitest";
import type { FloorGroup } from "~/data/queries/floor";
import { floorNews } from "./news";

const group = (more: Partial<FloorGroup>): FloorGroup => ({
  site: "",
  hall: "",
  machines: 3,
  outside: 0,
  near: 0,
  due: 0,
  unread: 0,
  open: 0,
  overdue: 0,
  drifting: 0,
  ...more,
});

test.each<[FloorGroup[], string]>([
  [[], "The floor is empty"],
  [[group({})], "Nothing is outside"],
  [[group({ outside: 1 }), group({ unread: 2 })], "One machine is outside"],
  [[group({ outside: 1 }), group({ outside: 1, near: 1 })], "Two machines are outside, one is near the edge"],
  [[group({ outside: 4, near: 3, overdue: 2 })], "Four machines are outside, two are overdue"],
  [[group({ overdue: 1 })], "One machine is overdue"],
  [[group({ drifting: 2 })], "Two machines drift out soon"],
  [[group({ unread: 1 })], "One machine has to be read"],
  [[group({ open: 1 })], "Nothing is outside; jobs or points are left open"],
])("the headline says the news of the whole workshop, %#", (groups, headline) => {
  expect(floorNews(groups)).toBe(headline);
});
