import { GLIDES } from "../outdoors/rules";
import { Step, TIME } from "./step";

/** Outdoors feet drink and screws rust. */
export const sealed = (levelled: Step): Step => ({
  ...levelled,
  detail: `${levelled.detail} Soak every foot’s end grain with thin epoxy until it takes no more, then glides ${GLIDES} mm high below.`,
  wait: TIME.fill,
  waitFor: "the epoxy in the end grain to harden",
});
export const rustless = (fastened: Pick<Step, "title" | "detail">) => ({
  ...fastened,
  detail: `${fastened.detail} Stainless screws throughout.`,
});
