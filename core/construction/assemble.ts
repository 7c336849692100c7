import type { Assembly } from "../assembly/part";
import type { Plan } from "../plan";
import type { Piece } from "../piece/schema";
import { legAndApron } from "./base/leg-and-apron";
import { cornerBlocks } from "./fitting/corner-blocks";
import { tableTop } from "./top/table-top";

/**
 * Every part of a piece where it stands, with its joints worked: the first construction on the assembly.
 *
 * @example const { parts } = assemble(planPiece(inputs), piece);
 */
export function assemble(
  plan: Pick<Plan, "geometry" | "joints" | "breadboards">,
  { form }: Pick<Piece, "form">,
): Assembly {
  const { geometry: at, joints, breadboards } = plan;
  return {
    parts: [
      ...legAndApron({ form, at, joints }),
      ...(form.cornerBlocks ? cornerBlocks(at) : []),
      ...tableTop({ form, at, breadboards }),
    ],
  };
}
