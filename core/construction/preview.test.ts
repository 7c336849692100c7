import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { BASES, OWN_CHOICES } from "../piece/base-choices";
import type { Form } from "../piece/schema";
import { USUAL_SHOP } from "../piece/shop";
import { randomPiece } from "../../tests/generators/pieces";
import { looksAlike, preview } from "./preview";

const SEED = Number(process.env.SEED ?? 20261127);

describe(`what a small drawing of a base is made again for (seed ${SEED})`, () => {
  it("a base reads nothing of what is said to be another’s alone", () =>
    fc.assert(
      fc.property(fc.constantFrom(...BASES), randomPiece, randomPiece, (kind, piece, other) => {
        const own = kind in OWN_CHOICES ? OWN_CHOICES[kind as keyof typeof OWN_CHOICES] : null;
        const others = Object.values(OWN_CHOICES).filter((key) => key !== own);
        const form = { ...piece.form, kind };
        const changed: Form = { ...form, ...Object.fromEntries(others.map((key) => [key, other.form[key]])) };
        expect(looksAlike(kind, form, changed)).toBe(true);
        expect(preview(changed, piece.joints, USUAL_SHOP)).toEqual(preview(form, piece.joints, USUAL_SHOP));
      }),
      { numRuns: 60, seed: SEED },
    ));
  it("its own choices, the top and the height are looked at", () => {
    fc.assert(
      fc.property(randomPiece, ({ form }) => {
        for (const [kind, key] of Object.entries(OWN_CHOICES) as [keyof typeof OWN_CHOICES, keyof Form][])
          expect(looksAlike(kind, form, { ...form, [key]: { ...(form[key] as object) } })).toBe(false);
        expect(looksAlike("trestle", form, { ...form, height: form.height + 1 })).toBe(false);
        expect(looksAlike("leg-and-apron", form, { ...form, leg: { ...form.leg } })).toBe(false);
      }),
      { numRuns: 5, seed: SEED },
    );
  });
});
