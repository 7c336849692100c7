/** Where a year's air comes from, as it is stored with a piece or a shop. */
import * as v from "valibot";
import { between, count, date, text } from "./fields";

const monthAir = v.strictObject({
  temperature: between("temperature", -40, 60, " °C"),
  humidity: between("relative humidity", 1, 99, " %"),
});
const twelve = "A year has twelve months: give twelve values.";

export const climateSchema = v.variant(
  "kind",
  [
    v.strictObject({ kind: v.literal("typical"), id: text("climate", 60) }),
    v.strictObject({ kind: v.literal("own"), months: v.pipe(v.array(monthAir), v.length(12, twelve)) }),
    v.strictObject({
      kind: v.literal("house"),
      outdoor: text("outdoor place", 60),
      south: v.boolean("South of the equator or not."),
      heatTo: between("heated to", 5, 30, " °C"),
      coolTo: v.nullable(between("cooled to", 15, 32, " °C")),
      added: between("water added", 0, 12, " g a kg"),
    }),
    v.strictObject({
      kind: v.literal("outdoors"),
      outdoor: text("outdoor place", 60),
      south: v.boolean("South of the equator or not."),
    }),
    v.strictObject({
      kind: v.literal("log"),
      name: text("log's name", 120),
      from: date("first reading"),
      to: date("last reading"),
      readings: count("readings", 1, 10_000_000),
      months: v.pipe(
        v.array(v.nullable(monthAir)),
        v.length(12, twelve),
        v.check((months) => months.some((each) => each !== null), "The log has no month in it."),
      ),
      fill: text("climate", 60),
    }),
  ],
  "Climate must be one of: typical, own, house, outdoors, log.",
);
