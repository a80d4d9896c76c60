import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { draw, server } from "../test/render";
import { JumpBox } from "./JumpBox";
import { JumpWaiting } from "./JumpWaiting";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("keeps what is typed before the box is there, and the box goes on from it", async () => {
  const onType = vi.fn();
  const view = draw(<JumpWaiting typed="su" onType={onType} />);
  const field = screen.getByLabelText("Jump to");
  expect(document.activeElement).toBe(field);
  fireEvent.change(field, { target: { value: "sun" } });
  expect(onType).toHaveBeenCalledWith("sun");
  view.unmount();
  vi.stubGlobal(
    "ResizeObserver",
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  );
  Element.prototype.scrollIntoView = () => undefined;
  server({ "GET /api/students": [{ id: "s", name: "Sunniva Drake", sortName: "Drake", seats: [] }] });
  draw(<JumpBox begun="sun" onClose={() => undefined} />);
  expect(((await screen.findByRole("combobox")) as HTMLInputElement).value).toBe("sun");
  expect(await screen.findByText("Sunniva Drake")).toBeTruthy();
});
