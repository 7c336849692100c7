import type { Meeting } from "../../../assembly/meeting";
import type { Place } from "../../../assembly/place";
import type { Vec } from "../../../assembly/vector";
import type { KindOfJoint } from "../../../joinery/kinds";
import { UPRIGHT_WIDTH } from "./joints";
import type { TrestleFacts } from "./parts";
import { numbered } from "./place";

/** Where the parts of a trestle meet, and by which joint. */
export function trestleMeetings({ form, at, joints }: TrestleFacts): Meeting[] {
  const { ends, rows, bays, post, foot, brace, stretcher, strut, ties, uprights } = at;
  const byId = new Map<string, KindOfJoint>(joints.map((joint) => [joint.id, joint]));
  const out: Meeting[] = [];
  const meet = (id: string, enters: string, receives: string, face: Place) => {
    const joint = byId.get(id);
    if (joint) out.push({ joint, enters, receives, face });
  };
  const count = bays.length * rows.length;
  ends.forEach((x, i) =>
    rows.forEach((z, row) => {
      const mark = `P${i * rows.length + row + 1}`;
      const low = z - post.width / 2;
      meet("foot+post", mark, `Q${i + 1}`, {
        at: [x + post.thickness / 2, foot.base + foot.height, low],
        x: [0, -1, 0],
        y: [0, 0, 1],
      });
      meet("brace+post", mark, `H${i + 1}`, {
        at: [x - post.thickness / 2, brace.from, low],
        x: [0, 1, 0],
        y: [0, 0, 1],
      });
      if (!strut) return;
      const { reach, width, thickness } = strut;
      ([-1, 1] as const).forEach((side, k) => {
        const strutMark = `V${2 * (i * rows.length + row) + k + 1}`;
        const face = z + (side * post.width) / 2;
        const corner = x - (side * thickness) / 2;
        meet("post+strut", strutMark, mark, {
          at: [corner, brace.from - reach, face],
          x: [0, 0, -side],
          y: [0, 1, 0],
        });
        meet("brace+strut", strutMark, `H${i + 1}`, {
          at: [corner, brace.from, face + side * (reach - width * Math.SQRT2)],
          x: [0, 1, 0],
          y: [0, 0, side],
        });
      });
    }),
  );
  bays.forEach(({ from, to }, i) => {
    rows.forEach((z, row) => {
      const mark = numbered("R", i * rows.length + row, count);
      const half = stretcher.thickness / 2;
      const right: Place = { at: [to, stretcher.height, z - half], x: [1, 0, 0], y: [0, 1, 0] };
      const left: Place = { at: [from, stretcher.height, z + half], x: [-1, 0, 0], y: [0, 1, 0] };
      const last = i === bays.length - 1;
      meet(i === 0 ? "post+stretcher" : "middle-post+stretcher", mark, `P${i * rows.length + row + 1}`, left);
      meet(last ? "post+stretcher" : "middle-post+stretcher", mark, `P${(i + 1) * rows.length + row + 1}`, right);
    });
    const wider = (brace.thickness - post.thickness) / 2;
    ties.forEach((z, row) => {
      const mark = `W${i * ties.length + row + 1}`;
      const low = at.under - form.trestle.ties.depth;
      const half = form.trestle.ties.thickness / 2;
      meet("brace+tie", mark, `H${i + 1}`, { at: [from + wider, low, z + half], x: [-1, 0, 0], y: [0, 1, 0] });
      meet("brace+tie", mark, `H${i + 2}`, { at: [to - wider, low, z - half], x: [1, 0, 0], y: [0, 1, 0] });
    });
  });
  uprights.forEach((x, i) =>
    rows.forEach((z, row) => {
      const mark = numbered("X", i * rows.length + row, uprights.length * rows.length);
      const half = stretcher.thickness / 2;
      const bay = bays.findIndex(({ from, to }) => x >= from && x <= to);
      const foot_: Vec = [x - UPRIGHT_WIDTH / 2, stretcher.height + stretcher.depth, z - half];
      meet("stretcher+upright", mark, numbered("R", Math.max(0, bay) * rows.length + row, count), {
        at: foot_,
        x: [0, -1, 0],
        y: [1, 0, 0],
      });
      meet("middle-brace+upright", mark, numbered("M", i, uprights.length), {
        at: [x - UPRIGHT_WIDTH / 2, brace.from, z + half],
        x: [0, 1, 0],
        y: [1, 0, 0],
      });
    }),
  );
  return out;
}
