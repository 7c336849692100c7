import fc from "fast-check";
import { expect, it } from "vitest";
import { parseDay } from "../../core/units/date";
import { dayName } from "./sentences";

it("a day that the screen shows reads as the day it is", () =>
  fc.assert(
    fc.property(fc.date({ min: new Date("2000-01-01"), max: new Date("2100-01-01"), noInvalidDate: true }), (date) => {
      const day = date.toISOString().slice(0, 10);
      expect(parseDay(dayName(day), "month first", "2026-11-25")).toEqual({ ok: true, day });
    }),
  ));
