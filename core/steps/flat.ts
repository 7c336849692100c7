import type { Form } from "../piece/schema";
import { ringSteps } from "./ring";
import type { Step } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

/** What keeps it flat below: steel let in, or wood screwed on. */
export function flatSteps(form: Form, before: string): TopStep[] {
  const { stiffener, channel, batten } = form;
  switch (stiffener) {
    case "none":
      return [];
    case "ring":
      return ringSteps(form, before);
    case "channels":
      return [
        {
          id: "channels",
          title: "Let the channels in below",
          detail: `${channel.count} grooves across, ${channel.endRoom} mm longer than the steel at each end; inserts at each bolt, ${channel.slot} mm slots, ${channel.washer} mm washers.`,
          parts: ["top"],
          after: [before],
          hours: 1 + 0.5 * channel.count,
          check: "Insert shorter than the top is thick, by 4 mm at least.",
        },
      ];
    case "battens":
      return [
        {
          id: "battens",
          title: "Slot the battens and screw them on",
          detail: `${batten.count} below, dry: a round hole on the fixed line, ${batten.slot} mm slots across the top’s grain for the other screws. No glue.`,
          parts: ["batten", "top"],
          after: [before],
          hours: 0.5 + 0.5 * batten.count,
          check: "Screws shorter than batten and top together, by 6 mm at least; each a turn loose.",
        },
      ];
  }
}
