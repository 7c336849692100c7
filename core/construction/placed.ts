import type { AsBuilt, Form } from "../piece/schema";
import { BaseGeometry, baseOf } from "./base";
import { dropped } from "./dropping/drop";
import { inserted } from "./facing/bed";
import { feetOf, onFeet } from "./fitting/feet";
import { parted } from "./parting/parting";
import { turning } from "./turning/turn";

/** Where everything of a piece stands: what its base places, with a top that comes apart where that is chosen, on the feet it has. */
export function placed(form: Form, asBuilt: readonly AsBuilt[]): BaseGeometry {
  // feet are part of its height: the wood gets what is left
  const wood = { ...form, height: form.height - (feetOf(form)?.height ?? 0) };
  const whole = parted(baseOf(form.kind).place(wood, asBuilt), wood, asBuilt);
  return onFeet(turning(dropped(inserted(whole, wood), wood), wood), form);
}
