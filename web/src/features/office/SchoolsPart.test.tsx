import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import { draw, Refusal, server } from "../../test/render";
import { SchoolsPart } from "./SchoolsPart";

const schools = [
  {
    key: "count-in",
    question: "How long is the count-in?",
    choices: [
      { key: "one", label: "One measure" },
      { key: "two", label: "Two measures" },
    ],
    chosen: "one",
  },
  {
    key: "tempo-without-mark",
    question: "How fast is a line that prints no tempo?",
    choices: [],
    amount: { low: 20, high: 400, unit: "quarters a minute" },
    chosen: "100",
  },
];

const tempo = () => screen.findByRole<HTMLInputElement>("textbox", { name: schools[1]!.question });

afterEach(cleanup);

describe("where practitioners disagree", () => {
  it("takes an amount when its field is left, once", async () => {
    const sent = server({ "GET /api/schools": schools, "POST /api/schools/tempo-without-mark": undefined });
    draw(<SchoolsPart />);
    const field = await tempo();
    expect(field.value).toBe("100");
    fireEvent.blur(field);
    expect(sent.filter((s) => s.method === "POST")).toHaveLength(0);
    fireEvent.change(field, { target: { value: "76,5" } });
    fireEvent.blur(field);
    await waitFor(() => expect(sent.find((s) => s.method === "POST")?.body).toEqual({ choice: "76.5" }));
    expect(await screen.findByText("It holds from now on")).toBeTruthy();
  });

  it("says what is wrong with an amount and keeps what was typed", async () => {
    server({
      "GET /api/schools": schools,
      "POST /api/schools/tempo-without-mark": new Refusal(422, "It takes a number from 20 to 400."),
    });
    draw(<SchoolsPart />);
    const field = await tempo();
    fireEvent.change(field, { target: { value: "900" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(await screen.findByText("It takes a number from 20 to 400.")).toBeTruthy();
    expect(field.value).toBe("900");
  });

  it("takes a school at once", async () => {
    const sent = server({ "GET /api/schools": schools, "POST /api/schools/count-in": undefined });
    draw(<SchoolsPart />);
    fireEvent.click(await screen.findByRole("radio", { name: "Two measures" }));
    await waitFor(() => expect(sent.find((s) => s.method === "POST")?.body).toEqual({ choice: "two" }));
  });
});
