import { AIDS, GlueStage, MOVE } from "./stages";
import type { Piece } from "../piece/schema";

/** One thing one person does, minutes from the first glue. */
export interface Move {
  person: number;
  from: number;
  to: number;
  what: string;
}

/** The sequence acted out: who does what when, how long it takes, and the longest any line waits open for its clamps. */
export interface Rehearsal {
  people: number;
  moves: Move[];
  minutes: number;
  longestOpen: number;
  openLine: number;
}

interface Task {
  what: string;
  minutes: number;
  after: number[];
  line: number | null;
}

/**
 * Acts a glue-up out with so many people: lines are spread from the front, a strip is laid when its line is spread and the one before it lies,
 * clamps are tightened from the middle out once all lie, cauls pressed between them. Whoever is free takes the next move that may begin.
 *
 * @source list scheduling (Graham 1966); times a move, common practice
 */
export function rehearse(stage: GlueStage, alignment: Piece["choices"]["alignment"], people: number): Rehearsal {
  const tasks = tasksOf(stage, alignment);
  const ends = new Array<number>(tasks.length).fill(Infinity);
  const free = new Array<number>(people).fill(0);
  const moves: Move[] = [];
  const open = new Set(tasks.keys());
  while (open.size > 0) {
    let [next, person, from] = [-1, -1, Infinity];
    for (const i of open) {
      if (tasks[i].after.some((each) => open.has(each))) continue;
      const ready = Math.max(0, ...tasks[i].after.map((each) => ends[each]));
      for (let p = 0; p < people; p += 1) {
        const start = Math.max(ready, free[p]);
        if (start < from - 1e-9) {
          from = start;
          next = i;
          person = p;
        }
      }
    }
    ends[next] = from + tasks[next].minutes;
    free[person] = ends[next];
    moves.push({ person, from, to: ends[next], what: tasks[next].what });
    open.delete(next);
  }
  const minutes = Math.max(0, ...ends);
  const clamped = Math.max(0, ...tasks.flatMap((task, i) => (task.what.startsWith("Tighten") ? [ends[i]] : [])));
  let [longestOpen, openLine] = [0, 0];
  tasks.forEach((task, i) => {
    if (task.line !== null) {
      const waits = clamped - (ends[i] - task.minutes);
      if (waits > longestOpen + 1e-9) {
        longestOpen = waits;
        openLine = task.line;
      }
    }
  });
  return { people, moves, minutes, longestOpen, openLine };
}

function tasksOf(stage: GlueStage, alignment: Piece["choices"]["alignment"]): Task[] {
  const tasks: Task[] = [];
  const add = (what: string, minutes: number, after: number[], line: number | null = null) =>
    tasks.push({ what, minutes, after, line }) - 1;
  let laid = add("Lay the first strip", MOVE.layStrip, []);
  stage.lines.forEach((line, i) => {
    const spread = add(`Spread line ${i + 1}`, (stage.length / 1000) * MOVE.spreadPerMetre, [], i + 1);
    const aids = stage.alignment.filter((each) => Math.abs(each.y - line) < 0.01).length;
    const fitted =
      aids > 0 ? add(`Fit ${aids} ${AIDS[alignment]} in line ${i + 1}`, aids * MOVE.align, [spread, laid]) : spread;
    laid = add(`Lay strip ${i + 2}`, MOVE.layStrip, [fitted, laid]);
  });
  const order = stage.clamps.places
    .map((place, i) => ({ i, off: Math.abs(place.x) }))
    .sort((a, b) => a.off - b.off || a.i - b.i);
  const clamps = order.map(({ i }) => add(`Tighten clamp ${i + 1}`, MOVE.clamp, [laid]));
  stage.cauls.forEach((_, i) => add(`Press caul pair ${i + 1}`, MOVE.caul, clamps));
  return tasks;
}
