import type { AsBuilt, Form } from "../piece/schema";
import { BaseGeometry, baseOf } from "./base";
import { dropped } from "./dropping/drop";
import { parted } from "./parting/parting";

/** Where everything of a piece stands: what its base places, with a top that comes apart where that is chosen. */
export const placed = (form: Form, asBuilt: readonly AsBuilt[]): BaseGeometry =>
  dropped(parted(baseOf(form.kind).place(form, asBuilt), form, asBuilt), form);
