import { expect, it } from "vitest";
import { amountWords, bucketWords, herdWords } from "./stock";

it("tells masses and buckets in what people weigh and carry with", () => {
  expect([amountWords(600, false), amountWords(2400, false), amountWords(544, true), amountWords(81.6, true)]).toEqual([
    "600 g",
    "2.4 kg",
    "1.2 lb",
    "2.9 oz",
  ]);
  expect([bucketWords(0, false), bucketWords(0.1, false), bucketWords(0.86, false), bucketWords(4, true)]).toEqual([
    "",
    ", from a handful or two",
    ", from one bucket of ten litres of loose leaves",
    ", from 4 buckets of 2½ US gallons of loose leaves",
  ]);
});
it("never says that little does no harm", () => {
  expect(herdWords(0, 0, 6, "cattle")).toContain("no proof");
  expect(herdWords(0, 3, 6, "cattle")).toBe("It could harm one to 3 of your cattle.");
  expect(herdWords(6, 6, 6, "cattle")).toBe("It could harm all 6 of your cattle.");
  expect(herdWords(2, 9, 9, "sheep")).toBe("It could harm 2 to all 9 of your sheep.");
  expect(herdWords(0, 1, 9, "horses")).toBe("It could harm one of your horses.");
});
