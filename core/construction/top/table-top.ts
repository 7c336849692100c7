import { Outline, Spot, straight } from "../../assembly/outline";
import type { AssemblyPart } from "../../assembly/part";
import type { Vec } from "../../assembly/vector";
import type { Stiffeners } from "../../movement/flat";
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";
import { isWhole, slatLines } from "./core";
import { endBoards, frameOf, inFrame, withTongues } from "./ends";
import { outlineOf, shapedTop } from "./outline";
import { flat, PANEL, part, TopFacts } from "./part";

/** The top: its field, what is at its ends, what keeps it flat. */
export function tableTop(facts: TopFacts): AssemblyPart[] {
  const { form, at } = facts;
  const field = form.field === "slats" ? slatsOf(facts) : [panelOf(facts)];
  const stiff = form.stiffener === "battens" && facts.stiffeners ? battens(at, facts.stiffeners, form) : [];
  switch (form.ends) {
    case "none":
      return [...field, ...stiff];
    case "breadboards":
      return [...withTongues(facts, field), ...endBoards(facts), ...stiff];
    case "frame":
      return [...inFrame(facts, field), ...frameOf(facts), ...stiff];
  }
}

/** One panel, with its outline where nothing holds its ends. */
function panelOf({ form, at }: TopFacts): AssemblyPart {
  const { core, top } = at;
  const whole = isWhole(form);
  const width = form.ends === "frame" ? Math.max(1, top.width - 2 * form.frame.width) : core.width;
  const panel = part({
    id: "T",
    kind: "top",
    shape: {
      ...{ length: core.shoulder, width, thickness: core.thickness },
      ...(whole ? { face: seen(shapedTop(form.top, at), top) } : {}),
    },
    place: flat(at, width / 2, -core.shoulder / 2),
  });
  return form.ends === "none" ? panel : { ...panel, ...PANEL };
}

/** Slats from the front, a gap apart. */
function slatsOf({ form, at }: TopFacts): AssemblyPart[] {
  const { core } = at;
  return slatLines(form, at).map((z, i) =>
    part({
      id: `S${i + 1}`,
      kind: "slat",
      shape: { length: core.shoulder, width: core.width, thickness: core.thickness },
      place: flat(at, z + core.width / 2, -core.shoulder / 2),
    }),
  );
}

/** Battens across the underside, screwed to it through slots. */
function battens(at: PieceGeometry, { x, length }: Stiffeners, { batten }: Form): AssemblyPart[] {
  return x.map((middle, i) => ({
    ...part({
      id: x.length > 1 ? `J${i + 1}` : "J",
      kind: "batten",
      shape: { length, width: batten.width, thickness: batten.thickness },
      place: {
        x: [0, 0, 1],
        y: [1, 0, 0],
        at: [middle - batten.width / 2, at.under - batten.thickness, -length / 2],
      },
    }),
    opens: [0, -120, 0] as Vec,
  }));
}

/** The finished outline from above with its cut-outs, from the top's front left corner. */
function seen({ outline, bulge, notch, cutouts }: Form["top"], top: PieceGeometry["top"]): Outline {
  // from the middle and anticlockwise seen from above, front at the bottom
  const spots = outlineOf({ ...top, outline, bulge, notch });
  const corner = ([x, y]: Spot): Spot => [x + top.length / 2, y + top.width / 2];
  return {
    outer: straight(spots.map(([x, y]) => corner([x, y]))),
    holes: cutouts.map((cut) =>
      straight(
        (
          [
            [-1, -1],
            [1, -1],
            [1, 1],
            [-1, 1],
          ] as const
        ).map(([a, b]) => corner([cut.x + (a * cut.length) / 2, cut.y + (b * cut.width) / 2])),
      ),
    ),
  };
}
