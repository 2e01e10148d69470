// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../api/client";
import { MeasureOn } from "./measure-on";

afterEach(cleanup);

const picture = { id: "p", width: 800, height: 600, caption: "A leaf" } as Schemas["PictureView"];
function show(units: Schemas["Units"], more: Partial<Parameters<typeof MeasureOn>[0]>) {
  const queries = new QueryClient();
  queries.setQueryData(["session"], { user: { units } });
  render(
    <QueryClientProvider client={queries}>
      <MeasureOn picture={picture} onScale={null} onLength={null} {...more} />
    </QueryClientProvider>,
  );
  const ground = document.querySelector("[data-measuring]") as HTMLElement;
  // drawn at half its size
  ground.getBoundingClientRect = () => ({ left: 10, top: 20, width: 400, height: 300 }) as DOMRect;
  return (x: number, y: number) => fireEvent.click(ground, { clientX: 10 + x / 2, clientY: 20 + y / 2 });
}

describe("a length on a picture", () => {
  it("two clicks on what is known, two on the leaf, and it goes into the field", async () => {
    const [scaled, measured] = [vi.fn(), vi.fn()];
    const click = show("metric", { onScale: scaled, onLength: measured });
    await userEvent.click(screen.getByRole("button", { name: "Lay a known length in" }));
    click(100, 100);
    expect(screen.getByRole("button", { name: "That is it" })).toHaveProperty("disabled", true);
    click(100, 500); // 400 pixels
    await userEvent.clear(screen.getByLabelText("That is, mm"));
    await userEvent.type(screen.getByLabelText("That is, mm"), "50,0");
    await userEvent.click(screen.getByRole("button", { name: "That is it" }));
    expect(scaled).toHaveBeenCalledExactlyOnceWith(8);
    click(100, 100);
    click(400, 500); // 500 pixels
    expect(screen.getByRole("status").textContent).toBe("62.5 mm");
    await userEvent.click(screen.getByRole("button", { name: "Into the field" }));
    expect(measured).toHaveBeenCalledExactlyOnceWith(62.5);
  });
  it("by arrow keys alone, in inches, with the scale laid before", async () => {
    const measured = vi.fn();
    show("imperial", { picture: { ...picture, pixelsPerMillimetre: 8 }, onLength: measured });
    await userEvent.click(screen.getByRole("button", { name: "Measure on it" }));
    const ground = screen.getByRole("application");
    ground.focus();
    await userEvent.keyboard("{Enter}{Shift>}{ArrowRight>5/}{/Shift}{Enter}"); // 200 pixels
    expect(screen.getByRole("status").textContent).toBe("0.98 in");
    await userEvent.click(screen.getByRole("button", { name: "Into the field" }));
    expect(measured.mock.calls[0]?.[0]).toBeCloseTo(25);
  });
  it("nothing is measured before a scale is laid, nor laid by whom it is none of", () => {
    show("metric", { onLength: vi.fn() });
    expect(screen.queryByRole("button")).toBeNull();
  });
});
