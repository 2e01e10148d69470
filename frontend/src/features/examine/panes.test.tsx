// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { examination, LENGTH, MARGIN, PITH, score } from "./a-bench";
import { Dangers } from "./dangers";
import { LookPane } from "./look-pane";
import { Names } from "./names";
import { NoticeBar } from "./notice";
import { onTheBench } from "./on-the-bench";

afterEach(cleanup);
Element.prototype.scrollIntoView = () => undefined;

const look = (
  <>
    <LookPane />
    <NoticeBar />
  </>
);
const question = (id: string) => within(document.querySelector(`[data-character="${id}"]`) as HTMLElement);

describe("the questions", () => {
  it("a tile pressed and recorded is one score, told, and the next question opens", async () => {
    const done = examination({ scores: [score("s", MARGIN.id, ["saw-teeth"])] });
    const { asked, show } = onTheBench(look, examination(), () => done);
    await userEvent.click(question(MARGIN.id).getByRole("button", { name: /saw-teeth/ }));
    await userEvent.click(question(MARGIN.id).getByRole("button", { name: "Record" }));
    await screen.findByText("Recorded: leaf.margin.");
    expect(asked).toHaveLength(1);
    expect(asked[0]).toMatchObject({ method: "POST", path: "/api/examinations/one/scores" });
    expect(asked[0]?.body).toMatchObject({ character: MARGIN.id, states: ["saw-teeth"], samples: 1, further: false });
    show(done);
    expect(question(LENGTH.id).getByText(/What of/)).toBeTruthy();
  });
  it("a number that is none is told, and cannot be recorded", async () => {
    onTheBench(look, examination());
    await userEvent.click(question(LENGTH.id).getByRole("button"));
    await userEvent.type(question(LENGTH.id).getByRole("textbox"), "five");
    expect(question(LENGTH.id).getByText(/Numbers only/)).toBeTruthy();
    expect(question(LENGTH.id).getByRole("button", { name: "Record" })).toHaveProperty("disabled", true);
  });
  it("what is required says how it stands; what is signed takes no score", async () => {
    const claim = { commonName: "made-up tree", label: "leaf", required: [{ character: MARGIN.id, samples: 3, status: "broken" }] } as never;
    const { show } = onTheBench(look, examination({ claim }));
    expect(question(MARGIN.id).getByText("required, seen otherwise")).toBeTruthy();
    expect(question(MARGIN.id).getByText(/3 needed/)).toBeTruthy();
    show(examination({ claim, signed: true }));
    expect(question(MARGIN.id).queryByRole("button", { name: "Record" })).toBeNull();
  });
  it("refused by the server, nothing is lost: the tile stays pressed", async () => {
    onTheBench(look, examination(), () => {
      throw new TypeError("no net");
    });
    await userEvent.click(question(MARGIN.id).getByRole("button", { name: /^smooth/ }));
    await userEvent.click(question(MARGIN.id).getByRole("button", { name: "Record" }));
    expect((await screen.findByRole("alert")).textContent).toContain("cannot be reached");
    expect(
      question(MARGIN.id)
        .getByRole("button", { name: /^smooth/ })
        .getAttribute("aria-pressed"),
    ).toBe("true");
  });
});

const danger = (taxon: string): Schemas["DangerView"] => ({
  taxon,
  commonName: taxon,
  severity: "deadly",
  contradictions: [],
  would: PITH.id,
  wouldLabel: "pith",
});

describe("the dangers", () => {
  it("show the worst five, and all at one press", async () => {
    onTheBench(<Dangers />, examination({ assessment: { dangers: ["a", "b", "c", "d", "e", "f", "g"].map(danger) } }));
    expect(document.querySelectorAll("[data-danger]")).toHaveLength(5);
    await userEvent.click(screen.getByRole("button", { name: /and 2 more/ }));
    expect(document.querySelectorAll("[data-danger]")).toHaveLength(7);
  });
  it("say what excludes a kind when asked, and who has read it", async () => {
    const lines = [{ id: "l", label: "pith", reason: "never white", readBy: 0 }];
    const { asked } = onTheBench(<Dangers />, examination({ assessment: { excluded: [{ taxon: "arbor-mala", commonName: "bad tree" }] } }), () => ({
      contradictions: ["pith"],
      lines,
    }));
    expect(document.querySelector("[data-excluded]")).toBeNull();
    const list = screen.getByText("Excluded: 1, and by what").closest("details") as HTMLDetailsElement;
    list.open = true;
    fireEvent(list, new Event("toggle"));
    expect(asked).toHaveLength(0);
    const details = document.querySelector("[data-excluded] details") as HTMLDetailsElement;
    details.open = true;
    fireEvent(details, new Event("toggle"));
    expect((await screen.findByText(/never white/)).textContent).toContain("read by its author only");
    expect(asked.map((a) => a.path)).toEqual(["/api/examinations/one/dangers/arbor-mala"]);
  });
  it.each([{ namesCovered: true }, { hopeCovered: true, namesCovered: true }])("name nobody while covered: %o", (covered) => {
    onTheBench(
      <Dangers />,
      examination({ ...covered, assessment: { dangers: [danger("bad tree")], excluded: [{ taxon: "excluded-0", commonName: "" }] } }),
    );
    expect(document.body.textContent).not.toContain("bad tree");
    expect(document.querySelector("[data-excluded]")).toBeNull();
  });
});

describe("the names", () => {
  const ranking = [
    { taxon: "arbor-ficta", name: "Arbor ficta", commonName: "made-up tree", posterior: 0.8 },
    { taxon: "arbor-mala", name: "Arbor mala", commonName: "bad tree", posterior: 0.1 },
  ];
  it("weigh a candidate against the next one, and the weights add up", async () => {
    const evidence = [
      { character: MARGIN.id, label: "margin", seen: "smooth", decibans: 12.5 },
      { character: PITH.id, label: "pith", seen: "white", decibans: -2.5 },
    ];
    const { asked } = onTheBench(<Names />, examination({ assessment: { ranking } }), () => ({ evidence }));
    const details = document.querySelector('[data-candidate="arbor-ficta"] details') as HTMLDetailsElement;
    details.open = true;
    fireEvent(details, new Event("toggle"));
    expect(await screen.findByText("Together 10 times as likely")).toBeTruthy();
    const told = [...document.querySelectorAll("[aria-label^=Speaks]")].map((s) => s.textContent);
    expect(told).toEqual(["Speaks for itmargin: smooth18 times as likely", "Speaks against itpith: white1.8 times less likely"]);
    expect(document.body.textContent).not.toMatch(/%|deciban/);
    await userEvent.click(screen.getByRole("button", { name: "In figures" }));
    expect(document.body.textContent).toMatch(/80\.0 %.*\+12\.5 decibans/);
    await userEvent.click(screen.getByRole("button", { name: "In words" }));
    expect(asked.map((a) => a.path)).toEqual(["/api/examinations/one/evidence/arbor-ficta/arbor-mala"]);
  });
  it("tell no figure before enough is scored", () => {
    onTheBench(<Names />, examination({ assessment: { ranking, conclusion: "too-early" } }));
    expect(document.body.textContent).toContain("Every kind is still in question");
    expect(document.body.textContent).not.toMatch(/%|made-up tree/);
  });
  it("are uncovered by a press that goes on record", async () => {
    const { asked } = onTheBench(<Names />, examination({ namesCovered: true }));
    await userEvent.click(screen.getByRole("button", { name: "Uncover the names" }));
    await waitFor(() => expect(asked[0]?.body).toEqual({ uncoverNames: true }));
  });
});
