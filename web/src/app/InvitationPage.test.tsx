import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { draw, Refusal, server } from "../test/render";
import { InvitationPage } from "./InvitationPage";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("a one-time link", () => {
  it("takes a name and a password, and sends the token that stands behind the #", async () => {
    const sent = server({
      "POST /api/invitations/look": { program: "Tern", displayName: "Bram Yule", role: "ASSISTANT" },
      "POST /api/invitations/take": undefined,
    });
    draw(<InvitationPage />, "/invitation#abc");
    fireEvent.change(await screen.findByLabelText("Sign-in name"), { target: { value: "bram" } });
    fireEvent.change(screen.getByLabelText("Password"), { target: { value: "four bows to a note" } });
    fireEvent.click(screen.getByText("Come in"));
    await vi.waitFor(() =>
      expect(sent.find((one) => one.path.endsWith("/take"))?.body).toEqual({
        token: "abc",
        signInName: "bram",
        password: "four bows to a note",
      }),
    );
  });

  it("used, late or broken, it says so", async () => {
    server({ "POST /api/invitations/look": new Refusal(409, "This invitation was used on 17 August 2026.") });
    draw(<InvitationPage />, "/invitation#abc");
    expect(await screen.findByText("This invitation was used on 17 August 2026.")).toBeTruthy();
    expect(screen.queryByLabelText("Password")).toBeNull();
  });

  it("says at the field what is wrong, and keeps what was typed", async () => {
    server({
      "POST /api/invitations/look": { program: "Tern", displayName: "Bram Yule", role: "ASSISTANT" },
      "POST /api/invitations/take": new Refusal(
        422,
        '"bram" is taken; choose another sign-in name.',
        "signInName",
      ),
    });
    draw(<InvitationPage />, "/invitation#abc");
    const name = await screen.findByLabelText<HTMLInputElement>("Sign-in name");
    fireEvent.change(name, { target: { value: "bram" } });
    fireEvent.click(screen.getByText("Come in"));
    expect(await screen.findByText(/is taken/)).toBeTruthy();
    expect(name.value).toBe("bram");
  });
});
