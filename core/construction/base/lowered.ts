import type { Patch } from "../../piece/patch";
import type { Form } from "../../piece/schema";

/** The top so much lower, and asked for there: what saves supports that were cut short. mm */
export function lowered({ height }: Pick<Form, "height">, by: number): Patch[] {
  const to = Math.round((height - by) * 10) / 10;
  return [
    { path: ["form", "height"], value: to },
    { path: ["brief", "topHeight"], value: to },
  ];
}
