import type { Schemas } from "../api/client";

type Described = Schemas["DescribedView"];

/** So often, at least, a tree shows what is drawn beside the usual. */
const OFTEN = 0.25;

/** What a description says, asked one thing at a time. */
export class Traits {
  private readonly by: Map<string, Described>;

  constructor(description: readonly Described[]) {
    this.by = new Map(description.map((d) => [d.character, d]));
  }

  /** What it shows mostly; nothing where it is silent. */
  usual<T extends string>(character: string): T | undefined {
    return this.by.get(character)?.states[0]?.state as T | undefined;
  }

  /** How often, 0 to 1. */
  share(character: string, state: string): number {
    return this.by.get(character)?.states.find((s) => s.state === state)?.share ?? 0;
  }

  often(character: string): { state: string; label: string }[] {
    return (this.by.get(character)?.states ?? []).filter((s) => s.share >= OFTEN);
  }

  /** The normal range; extremes stand in brackets and are left out. */
  range(character: string): [number, number] | undefined {
    const plain = this.by.get(character)?.range?.replace(/\([^)]*\)/g, "");
    const numbers = plain?.match(/\d+(?:[.,]\d+)?/g)?.map((t) => Number(t.replace(",", ".")));
    const [low] = numbers ?? [];
    return numbers && low !== undefined ? [low, numbers[numbers.length - 1] ?? low] : undefined;
  }

  middle(character: string): number | undefined {
    const range = this.range(character);
    return range && (range[0] + range[1]) / 2;
  }

  /** A count: the lower of two middles is as usual as the higher, and an odd number of leaflets stays odd. */
  count(character: string): number | undefined {
    const middle = this.middle(character);
    return middle === undefined ? undefined : Math.round(middle);
  }

  /** Fruit is drawn ripe: of its colours, the first that is not green. */
  ripe(): string | undefined {
    const often = this.often("fruit.colour");
    return (often.find((s) => s.state !== "green") ?? often[0])?.state ?? this.usual("fruit.colour");
  }
}
