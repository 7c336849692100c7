import type { Plan } from "../plan/derived";
import type { Piece } from "../piece/schema";
import { degrees, fiveDecimals, oneDecimal, scientific } from "./numbers";
import { governing } from "../movement/governing";
import { airSwing } from "../movement/course";
import { exchangeAt, transverseDiffusivity } from "../movement/finish";
import { filmsOf } from "../movement/faces";
import { LINEAR_RANGE, SATURATION } from "../movement/width";

/** One line of arithmetic that can be done again with a pencil: which formula, the numbers put in, and what comes out. */
export interface WorkedLine {
  formula: string;
  what: string;
  sum: string;
  result: string;
}

/** This piece's own numbers through every formula, from its wettest month to the slot that must let it go. */
export function worked(plan: Plan, piece: Piece): WorkedLine[] {
  const { year, top, species } = plan;
  const wet = year.wettest;
  const film = filmsOf(piece.finish, piece.faces).above;
  const strip = top.strips[0];
  const inside =
    top.start.value >= LINEAR_RANGE.from && top.wet.moisture <= LINEAR_RANGE.to && top.start.value <= LINEAR_RANGE.to;
  const total = 3000 / (1 / strip.coefficient + 20);
  const found = governing(plan, piece);
  const most = found.travel.reduce((a, b) => (b > a ? b : a), 0);
  const lines: WorkedLine[] = [
    {
      formula: "emc",
      what: `Air in ${wet.name}`,
      sum: `T = ${oneDecimal(wet.temperature)} °C, h = ${(wet.humidity / 100).toFixed(3)}`,
      result: `${wet.moisture.toFixed(2)} %`,
    },
    {
      formula: "diffusion",
      what: "How fast it moves through this wood",
      sum: `2.5·10⁻¹⁰ · e^((440 − ${species.density})/250)`,
      result: `${scientific(transverseDiffusivity(species))} m²/s`,
    },
    {
      formula: "finish",
      what: `${film.name} on it`,
      sum:
        film.exchange === null
          ? "no film: still air alone"
          : `film ${scientific(film.exchange)} m/s on pine, brought to ${species.density} kg/m³ and this room`,
      result: `${scientific(exchangeAt(film, species, airSwing(year)))} m/s`,
    },
    {
      formula: "diffusion",
      what: `The wood's own moisture about ${top.wet.on}`,
      sum: `${oneDecimal(plan.geometry.core.thickness)} mm thick, from ${top.start.value} % on ${top.start.on}`,
      result: `${top.wet.moisture.toFixed(2)} %`,
    },
    {
      formula: "rings",
      what: `${strip.board ?? "Boards not chosen"}: rings from ${degrees(strip.ringLeft)} to ${degrees(strip.ringRight)}`,
      sum: `C_R ${fiveDecimals(species.radial)}, C_T ${fiveDecimals(species.tangential)}`,
      result: fiveDecimals(strip.coefficient),
    },
    inside
      ? {
          formula: "width",
          what: `${strip.board ?? "The whole width"} by then`,
          sum: `${strip.width.toFixed(1)} · ${fiveDecimals(strip.coefficient)} · (${top.wet.moisture.toFixed(2)} − ${top.start.value})`,
          result: `${strip.wet.toFixed(2)} mm`,
        }
      : {
          formula: "width",
          what: `${strip.board ?? "The whole width"} by then`,
          sum: `${strip.width.toFixed(1)} · (${Math.min(SATURATION, top.wet.moisture).toFixed(2)} − ${Math.min(SATURATION, top.start.value)}) / (3000/${total.toFixed(2)} − 30 + ${Math.min(SATURATION, top.start.value)})`,
          result: `${strip.wet.toFixed(2)} mm`,
        },
    {
      formula: "width",
      what: "All strips together",
      sum: top.strips.map((each) => each.wet.toFixed(2)).join(" + "),
      result: `${top.wet.change.toFixed(2)} mm`,
    },
    {
      formula: plan.breadboards ? "slots" : "fasteners",
      what: `Travel of ${found.what}`,
      sum: "the strips between it and the fixed line",
      result: `${most.toFixed(2)} mm`,
    },
  ];
  if (plan.breadboards) {
    const peg = plan.breadboards.pegs.find((each) => each.id === found.id) ?? plan.breadboards.pegs[0];
    lines.push({
      formula: "slots",
      what: "The slot it needs",
      sum: piece.form.breadboard.setOff
        ? `${piece.form.breadboard.peg} + ${Math.max(0, peg.wet).toFixed(2)} + ${Math.max(0, -peg.dry).toFixed(2)} + 1`
        : `${piece.form.breadboard.peg} + 2 · ${Math.max(peg.wet, -peg.dry).toFixed(2)} + 1`,
      result: `${peg.need.toFixed(2)} mm`,
    });
  }
  return lines;
}

/** Where this piece leaves a formula's range, each a sentence. */
export function leaves(plan: Plan, piece: Piece): { formula: string; text: string }[] {
  const { top, year } = plan;
  const out: { formula: string; text: string }[] = [];
  const low = Math.min(top.start.value, top.dry.moisture);
  const high = Math.max(top.start.value, top.wet.moisture);
  if (high > LINEAR_RANGE.to || low < LINEAR_RANGE.from)
    out.push({
      formula: "width",
      text: `The wood goes from ${oneDecimal(low)} to ${oneDecimal(high)} %: outside ${LINEAR_RANGE.from} to ${LINEAR_RANGE.to} % the shrinkage form is used.`,
    });
  if (top.start.value > SATURATION)
    out.push({
      formula: "width",
      text: `At ${top.start.value} % the wood is green; nothing shrinks above ${SATURATION} %.`,
    });
  const extreme = year.months.filter((month) => month.humidity > 90);
  if (extreme.length > 0)
    out.push({
      formula: "emc",
      text: `${extreme.map((month) => month.name).join(", ")}: over 90 % humidity the isotherm is steep and equilibrium moisture uncertain by a percent.`,
    });
  const cold = year.months.filter((month) => month.temperature < 0);
  if (cold.length > 0)
    out.push({
      formula: "diffusion",
      text: `${cold.map((month) => month.name).join(", ")}: below 0 °C diffusion is carried on from warmer values.`,
    });
  if (top.strips.some((strip) => !strip.board))
    out.push({ formula: "rings", text: "No boards are chosen: rings are taken as flat-sawn." });
  if (top.strips.some((strip) => Math.abs(strip.ringLeft) > 85 || Math.abs(strip.ringRight) > 85))
    out.push({ formula: "rings", text: "A board's rings stand steeper than 85°: it counts as quarter-sawn there." });
  if (piece.faces.below !== "alike" || piece.faces.heater !== "room" || piece.faces.sun !== "room")
    out.push({ formula: "cup", text: "Its faces differ: the arc is that of a free panel, an upper bound." });
  if (year.outdoors) out.push({ formula: "diffusion", text: "Rain is not counted: this is under cover." });
  return out;
}
