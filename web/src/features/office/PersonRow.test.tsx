import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Person } from "../../api/types";
import { OwnPassword } from "../../app/OwnPassword";
import { draw, Refusal, server } from "../../test/render";
import { PersonRow } from "./PersonRow";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const bram: Person = {
  id: "p1",
  signInName: "bram",
  displayName: "Bram Low",
  role: "ASSISTANT",
  disabled: false,
  own: false,
  sections: [],
};

describe("somebody who may sign in", () => {
  it("is kept out, with a way back", async () => {
    const sent = server({ "PUT /api/people/p1": undefined });
    draw(<PersonRow person={bram} />);
    fireEvent.click(screen.getByText("Keep out"));
    fireEvent.click(await screen.findByText("Undo"));
    await vi.waitFor(() => expect(sent).toHaveLength(2));
    expect(sent.map((one) => one.body)).toEqual([
      { displayName: "Bram Low", role: "ASSISTANT", disabled: true },
      { displayName: "Bram Low", role: "ASSISTANT", disabled: false },
    ]);
  });

  it("gets a new password, and is told why one will not do", async () => {
    const answers = [
      new Refusal(422, "A password has at least 10 letters; a few words are best.", "password"),
      undefined,
    ];
    const sent = server({ "POST /api/people/p1/password": () => answers.shift() });
    draw(<PersonRow person={bram} />);
    fireEvent.click(screen.getByText("New password"));
    fireEvent.change(screen.getByLabelText("New password of Bram Low"), { target: { value: "short" } });
    fireEvent.click(screen.getByText("Give it"));
    expect(await screen.findByText(/at least 10 letters/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText("New password of Bram Low"), {
      target: { value: "six ferries at noon" },
    });
    fireEvent.click(screen.getByText("Give it"));
    expect(await screen.findByText("Bram Low signs in with the new password from now on")).toBeTruthy();
    expect(sent.at(-1)?.body).toEqual({ password: "six ferries at noon" });
  });

  it("stays a director where nobody else is one", async () => {
    server({ "PUT /api/people/p1": new Refusal(409, "A programme needs a director who can sign in.") });
    draw(<PersonRow person={{ ...bram, role: "DIRECTOR" }} />);
    fireEvent.click(screen.getByText("Make an assistant"));
    expect((await screen.findByRole("alert")).textContent).toBe(
      "A programme needs a director who can sign in.",
    );
  });

  it("does nothing to oneself by one press", () => {
    draw(<PersonRow person={{ ...bram, own: true }} />);
    expect(screen.getByText("that is you")).toBeTruthy();
    expect(screen.queryByRole("button")).toBeNull();
  });

  it("is let in again", async () => {
    const sent = server({ "PUT /api/people/p1": undefined });
    draw(<PersonRow person={{ ...bram, disabled: true }} />);
    expect(screen.queryByText("New password")).toBeNull();
    fireEvent.click(screen.getByText("Let Bram Low in again"));
    await vi.waitFor(() => expect(sent[0]?.body).toMatchObject({ disabled: false }));
  });
});

describe("one's own password", () => {
  it("is changed with the present one, and faults are told at their fields", async () => {
    HTMLDialogElement.prototype.showModal = function () {
      this.open = true;
    };
    const answers = [new Refusal(422, "This is not your present password.", "current"), undefined];
    const sent = server({ "POST /api/session/password": () => answers.shift() });
    const close = vi.fn();
    draw(<OwnPassword onClose={close} />);
    fireEvent.change(screen.getByLabelText("Present password"), { target: { value: "wrong" } });
    fireEvent.change(screen.getByLabelText("New password"), { target: { value: "six ferries at noon" } });
    fireEvent.click(screen.getByText("Change it"));
    expect(await screen.findByText("This is not your present password.")).toBeTruthy();
    expect(close).not.toHaveBeenCalled();
    fireEvent.click(screen.getByText("Change it"));
    await vi.waitFor(() => expect(close).toHaveBeenCalledOnce());
    expect(sent.at(-1)?.body).toEqual({ current: "wrong", password: "six ferries at noon" });
  });
});
