/** A table with its leaves in or up, from above: how long or wide it then is, and what each leaf adds. */
import { Pose, posed } from "../assembly/part";
import { goneWith } from "../assembly/small";
import { widthUp } from "../construction/dropping/drop";
import { openTop } from "../construction/parting/parting";
import { leavesAt } from "../construction/parting/parts";
import { VIEWS } from "./projection";
import { dimension, Scene } from "./scene";
import { Drawable, viewItems } from "./views";

/** The open table from above; null where nothing opens it. */
export function openedScene(drawable: Drawable): Scene | null {
  const { geometry: at, form, assembly, small = [] } = drawable;
  const up = assembly.poses?.find(({ id }) => id === "leaves-up");
  if (up) return upScene(drawable, up);
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

/** Leaves that hang, up: what shows of each beside the top. */
function upScene(drawable: Drawable, pose: Pose): Scene {
  const { geometry: at, assembly, small = [] } = drawable;
  const parts = posed(assembly.parts, pose);
  const { length, width } = at.top;
  const all = widthUp(at);
  const [first, ...others] = at.drop!.sides;
  // seen from above the front lies below
  const front = -(width / 2 + (all - width) / (1 + others.length));
  const back = others.length > 0 ? -front : width / 2;
  const joint = at.drop!.axis.out;
  return {
    id: "opened",
    title: `The table with ${pose.name}: ${Math.round(all)} mm wide.`,
    bounds: { x: -length / 2, y: front, w: length, h: back - front },
    margin: [38, 58, 46, 58],
    items: [
      ...viewItems(
        { ...drawable, assembly: { parts }, small: goneWith(small, assembly.parts, parts) },
        VIEWS.plan,
        true,
      ),
      dimension([length / 2, back], [length / 2, front], { offset: 22, value: all }),
      ...[first, ...others].map((side) =>
        dimension([-length / 2, -side * joint], [-length / 2, side > 0 ? front : back], {
          offset: side > 0 ? -22 : 22,
          value: at.drop!.leaf,
          ...(side === first ? { edit: { path: ["form", "drop", "leaf"], name: "A leaf across the table, up" } } : {}),
        }),
      ),
    ],
  };
}
