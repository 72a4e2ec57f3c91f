import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, describe, expect, it } from "vitest";
import { MetricField } from "./MetricField";
import { scaleOf, toMetric, toSaid } from "./units";

afterEach(cleanup);

const INCH = { unit: "in", factor: 1 / 2.54 };

describe("units", () => {
  it("give back what was typed, over what is stored", () => {
    for (const inches of [3, 0.5, 2.25, 11.9]) {
      expect(toSaid(toMetric(inches, INCH), INCH)).toBeCloseTo(inches, 2);
    }
    expect(toMetric(3, INCH)).toBe(7.62);
    expect(toSaid(7.62, INCH)).toBe(3);
    expect(scaleOf({ cm: INCH }, "°")).toEqual({ unit: "°", factor: 1 });
  });

  it("are typed in the reader's own and stored in metric ones", () => {
    let stored: number | null = null;
    function Typed() {
      const [value, setValue] = useState<number | null>(null);
      stored = value;
      return (
        <MetricField
          aria-label="Drift"
          scale={INCH}
          lowest={-30}
          highest={30}
          decimals={2}
          value={value}
          onChange={setValue}
        />
      );
    }
    render(<Typed />);
    const field = screen.getByLabelText<HTMLInputElement>("Drift");
    fireEvent.change(field, { target: { value: "3" } });
    expect(stored).toBe(7.62);
    expect(field.value).toBe("3");
    fireEvent.change(field, { target: { value: "13" } });
    expect(field.validationMessage).toContain("11.8 in");
    expect(stored).toBe(7.62);
  });
});
