import { cleanup, configure } from "@testing-library/react";
import { afterEach, vi } from "vitest";

// A machine that tests several modules at once draws slowly now and then; what never comes still fails.
configure({ asyncUtilTimeout: 8_000 });

// Files share a page and its modules, so what stands in for one stands in for all, and each test leaves as it came.
vi.mock("../features/line/Staff", () => import("./StaffInWords"));
afterEach(() => {
  cleanup();
  localStorage.clear();
  sessionStorage.clear();
});
