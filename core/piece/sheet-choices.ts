/** Fields of the form: sheets of a size that is bought otherwise than usual. */
import * as v from "valibot";
import { size } from "./fields";

/** Along the face’s grain, and across it; null where they are as usually sold. */
export const sheetFields = {
  sheetSold: v.optional(
    v.nullable(v.strictObject({ length: size("sheet length", 200, 4000), width: size("sheet width", 200, 2500) })),
    null,
  ),
};
