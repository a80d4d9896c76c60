import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import { EraseStudent } from "./EraseStudent";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const address = "POST /api/students/ana/erase";

function ask(typed: string) {
  fireEvent.click(screen.getByRole("button", { name: "Erase this student…" }));
  fireEvent.change(screen.getByLabelText("Type “Ana Reed” to erase"), { target: { value: typed } });
  fireEvent.click(screen.getByRole("button", { name: "Erase for good" }));
}

describe("erasing a student", () => {
  it("asks for the name and says the made-up one", async () => {
    const sent = server({ [address]: { name: "Erased 3F2A11" } });
    draw(<EraseStudent studentId="ana" name="Ana Reed" />);
    ask("Ana Reed");
    expect(await screen.findByText("Ana Reed was erased and is now Erased 3F2A11")).toBeTruthy();
    expect(sent[0]?.body).toEqual({ name: "Ana Reed" });
  });

  it("puts the server's word at the field, and nothing goes without a name", async () => {
    server({ [address]: new Refusal(422, "Type the name as it stands here.", "name") });
    draw(<EraseStudent studentId="ana" name="Ana Reed" />);
    ask("Anna");
    expect(await screen.findByText("Type the name as it stands here.")).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Type “Ana Reed” to erase"), { target: { value: " " } });
    expect((screen.getByRole("button", { name: "Erase for good" }) as HTMLButtonElement).disabled).toBe(true);
    fireEvent.click(screen.getByRole("button", { name: "Back" }));
    expect(screen.queryByRole("form")).toBeNull();
  });
});
