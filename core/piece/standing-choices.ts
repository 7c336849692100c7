/** Fields of the form: every base that has a file of its own, but cases and boxes. */
import { bentFields } from "./bent-choices";
import { boughtFields } from "./bought-choices";
import { existingFields } from "./existing-choices";
import { plankFields } from "./plank-choices";
import { splayedFields } from "./splayed-choices";
import { splayedFrameFields } from "./splayed-frame-choices";
import { stakedFields } from "./staked-choices";

export const standingFields = {
  ...splayedFields,
  ...splayedFrameFields,
  ...stakedFields,
  ...plankFields,
  ...bentFields,
  ...boughtFields,
  ...existingFields,
};
