import "./plainZod";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { Problem } from "./api/http";
import { App } from "./app/App";
import { Toasts } from "./ui/toasts";
import "./index.css";
import { restoreTheme } from "./app/theme";

restoreTheme();

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 20_000,
      retry: (count, error) => !(error instanceof Problem && error.status < 500) && count < 3,
    },
  },
});

createRoot(document.getElementById("root")!).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <Toasts>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </Toasts>
    </QueryClientProvider>
  </StrictMode>,
);
