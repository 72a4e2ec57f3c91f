import { expect, it } from "vitest";
import { fold } from "./fold";

it("finds a name without its marks", () => {
  expect(fold("Ødegård")).toBe("odegard");
  expect(fold("ŁUCJA Señor Weiß Ægir")).toBe("lucja senor weiss aegir");
});
