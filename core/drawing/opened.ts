/** A table with its leaves in, from above: how long it then is, and what each leaf adds. */
import { posed } from "../assembly/part";
import { goneWith } from "../assembly/small";
import { openTop } from "../construction/parting/parting";
import { leavesAt } from "../construction/parting/parts";
import { VIEWS } from "./projection";
import { dimension, Scene } from "./scene";
import { Drawable, viewItems } from "./views";

/** The open table from above; null where nothing opens it. */
export function openedScene(drawable: Drawable): Scene | null {
  const { geometry: at, form, assembly, small = [] } = drawable;
  const pose = assembly.poses?.find(({ id }) => id === "leaves");
  if (!pose) return null;
  const parts = posed(assembly.parts, pose);
  const { length, width } = openTop(form);
  const moved = goneWith(small, assembly.parts, parts);
  const [first, ...others] = leavesAt(at);
  return {
    id: "opened",
    title: `The table with ${pose.name}: ${Math.round(length)} mm long.`,
    bounds: { x: -length / 2, y: -width / 2, w: length, h: width },
    margin: [38, 58, 46, 58],
    items: [
      ...viewItems({ ...drawable, assembly: { parts }, small: moved }, VIEWS.plan, true),
      dimension([-length / 2, width / 2], [length / 2, width / 2], { offset: 22, value: length }),
      ...[first, ...others].map(({ from, to }) =>
        dimension([from, -width / 2], [to, -width / 2], {
          offset: -22,
          value: to - from,
          ...(from === first.from
            ? { edit: { path: ["form", "parting", "leaf"], name: "A leaf along the table" } }
            : {}),
        }),
      ),
    ],
  };
}
