import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { Problem } from "../api/client";
import { App, ahead } from "./app";
import "./index.css";

const queries = new QueryClient({
  defaultOptions: {
    // what was asked for ahead a moment ago is not asked for again when it is drawn
    queries: {
      staleTime: 2_000,
      retry: (count, error) => count < 1 && !(error instanceof Problem && error.status >= 400),
      refetchOnWindowFocus: false,
    },
  },
});

ahead(window.location.pathname, queries);

const root = document.getElementById("root");
if (!root) throw new Error("The page has no root.");
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <App />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
