import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { vi } from "vitest";
import type { Examination } from "../../api/client";
import { flora } from "./a-bench";
import { BenchProvider } from "./bench";

/** What was asked of the server: method, path, body. */
export type Asked = { method: string; path: string; body: unknown };

/** For tests: lays an examination on the bench; `server` answers what is asked of it. */
export function onTheBench(children: ReactNode, e: Examination, server: (asked: Asked) => unknown = () => ({})) {
  const asked: Asked[] = [];
  vi.stubGlobal("fetch", async (request: Request) => {
    const text = await request.text();
    const what = { method: request.method, path: new URL(request.url).pathname, body: text === "" ? null : JSON.parse(text) };
    asked.push(what);
    return new Response(JSON.stringify(server(what)), { headers: { "Content-Type": "application/json" } });
  });
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Number.POSITIVE_INFINITY } } });
  queries.setQueryData(["session"], { user: { units: "metric" } });
  queries.setQueryData(["examination", e.id], e);
  const bench = (shown: Examination) => (
    <QueryClientProvider client={queries}>
      <MemoryRouter>
        <BenchProvider examination={shown} flora={flora}>
          {children}
        </BenchProvider>
      </MemoryRouter>
    </QueryClientProvider>
  );
  const { rerender } = render(bench(e));
  return { asked, show: (shown: Examination) => rerender(bench(shown)) };
}
