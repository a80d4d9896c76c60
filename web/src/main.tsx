import "./plainZod";
import { QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { App } from "./app/App";
import { queryClient } from "./app/kept/client";
import { newVersion } from "./app/newVersion";
import { Toasts } from "./ui/toasts";
import "./index.css";
import { restoreTheme } from "./app/theme";

restoreTheme();

newVersion.watch();

createRoot(document.getElementById("root")!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <Toasts>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </Toasts>
    </QueryClientProvider>
  </StrictMode>,
);
