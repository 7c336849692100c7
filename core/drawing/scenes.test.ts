import { describe, expect, it } from "vitest";
import { at, legs, plainRack, planOf, sectionOf, strips, tableWith } from "../testing/plans";
import { USUAL_LEG } from "../piece/base-choices";
import { USUAL_SHOP } from "../piece/shop";
import { boardScene, panelScene } from "./boards";
import { cuttingScene } from "./cutting";
import { elevationsScene, frontScene, planScene, sideScene, thumbScene } from "./elevations";
import { fasteningScene } from "./fastening";
import { holdingScene } from "./holding";
import { insetScene } from "./inset";
import { jointDrawings } from "./joints";
import { glueScene } from "./glue-up";
import { legSectionScene } from "../construction/base/leg-and-apron/sections";
import { buttonScene } from "./button";
import { roomScene } from "./room";
import { panelProfile } from "../movement/profile";
import { Item, Scene, shifted } from "./scene";
import { closeUp } from "./close-up";
import { endGrainScene, movementScene } from "./top";

const piece = tableWith(
  at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7")),
  at("form.leg", { ...USUAL_LEG, section: 80, taper: "two-faces", foot: 50, make: "solid" }),
);
const plan = planOf(piece);
const drawable = { ...plan, form: piece.form };
const rack = plainRack();
const scenes: Scene[] = [
  roomScene(piece, plan.species.colour),
  planScene(drawable),
  frontScene(drawable),
  sideScene(drawable),
  elevationsScene(drawable),
  thumbScene(drawable),
  movementScene(plan, piece, 7, 8),
  endGrainScene(plan, true),
  closeUp(plan, piece, 7)!,
  legSectionScene(sectionOf(plan)),
  ...jointDrawings({ ...plan, form: piece.form }).map(({ scene }) => scene),
  buttonScene(plan, piece.joints.buttons),
  panelScene(plan, piece, USUAL_SHOP),
  glueScene(plan, plan.glueUp[0]),
  boardScene(rack[0], plan.species.colour, { longest: 2400, widest: 160, pale: false }),
  ...plan.cutting.boards.map((cut) =>
    cuttingScene(cut, plan.species.colour, {
      pieces: new Map(plan.cutting.pieces.map((each) => [each.id, each])),
      kerf: 3,
      longest: 2400,
    }),
  ),
];
const others = [
  [at("form.ends", "breadboards")],
  [at("form.ends", "frame")],
  [at("form.field", "slats")],
  [at("form.field", "slats"), at("form.ends", "breadboards")],
  [at("form.field", "slats"), at("form.ends", "frame")],
  [at("form.stiffener", "channels")],
  [at("form.stiffener", "battens"), at("form.ends", "breadboards")],
  ...(["figure-8", "z-clip", "slotted", "oversized", "loose", "screwed"] as const).map((kind) => [
    at("joints.fastening", kind),
  ]),
].map((patches) => {
  const changed = tableWith(
    at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7")),
    ...patches,
    at("form.breadboard.thickness", 10),
    at("insets", [{ kind: "door", id: "d", name: "Door", width: 400, height: 600, gap: 2, build: "solid", stile: 60 }]),
  );
  return { piece: changed, plan: planOf(changed) };
});
const dimensions = (scene: Scene) =>
  scene.items.filter((item): item is Extract<Item, { kind: "dimension" }> => item.kind === "dimension");

const every = others.flatMap((each) =>
  [
    planScene({ ...each.plan, form: each.piece.form }),
    movementScene(each.plan, each.piece, each.plan.top.wet.at, 8),
    endGrainScene(each.plan, true, each.plan.top.wet.at, 8),
    closeUp(each.plan, each.piece, each.plan.top.wet.at),
    fasteningScene(each.plan, each.piece),
    holdingScene(each.plan, each.piece),
    insetScene(each.piece.insets[0], each.plan.insets[0], each.plan.species),
  ].flatMap((scene) => (scene ? [{ scene, piece: each.piece }] : [])),
);

describe.each(every.map(({ scene, piece: of }, i) => [`${i} ${scene.id}`, scene, of] as const))(
  "scene %s of another construction",
  (_, scene, of) => {
    it("is finite, draws nothing of negative size, and its dimensions are true", () => {
      expect(JSON.stringify(scene)).not.toMatch(/null,|NaN/);
      expect(scene.title.length).toBeGreaterThan(10);
      for (const item of scene.items)
        if ("w" in item) {
          expect(item.w).toBeGreaterThanOrEqual(0);
          expect(item.h).toBeGreaterThanOrEqual(0);
        }
      for (const each of dimensions(scene)) {
        expect(Math.hypot(each.to[0] - each.from[0], each.to[1] - each.from[1]), JSON.stringify(each)).toBeCloseTo(
          each.value,
          6,
        );
        if (each.edit)
          expect([each.value, null], each.edit.name).toContain(
            each.edit.path.reduce<unknown>((value, key) => (value as Record<string, unknown>)[key as string], of),
          );
      }
    });
  },
);

describe.each(scenes.map((scene) => [scene.id, scene] as const))("scene %s", (_, scene) => {
  it("is finite plain data with a description", () => {
    expect(JSON.stringify(scene)).not.toMatch(/null,|NaN/);
    expect(scene.title.length).toBeGreaterThan(10);
    expect(scene.bounds.w).toBeGreaterThan(0);
    expect(scene.bounds.h).toBeGreaterThan(0);
  });
  it("draws nothing of negative size", () => {
    for (const item of scene.items)
      if ("w" in item) {
        expect(item.w).toBeGreaterThanOrEqual(0);
        expect(item.h).toBeGreaterThanOrEqual(0);
      }
  });
  it("every dimension is as long as it says", () => {
    for (const each of dimensions(scene))
      expect(Math.hypot(each.to[0] - each.from[0], each.to[1] - each.from[1]), JSON.stringify(each)).toBeCloseTo(
        each.value,
        6,
      );
  });
  it("every dimension that can be typed names an input that holds its value", () => {
    for (const each of dimensions(scene)) {
      if (!each.edit) continue;
      const input = each.edit.path.reduce<unknown>(
        (value, key) => (value as Record<string, unknown>)[key as string],
        piece,
      );
      expect([each.value, null], each.edit.name).toContain(input);
    }
  });
});

describe("what a drawing shows is what the plan says", () => {
  it("the wet outline is as wide as the top is in the wet month, exaggerated", () => {
    const wet = movementScene(plan, piece, 7, 10).items.find(
      (item) => "id" in item && item.id === "outline-wet",
    ) as Extract<Item, { kind: "rect" }>;
    expect(wet.h - plan.top.width).toBeCloseTo(10 * plan.top.wet.change, 6);
  });
  it("the close-up binds when the travel is past the slot, and its gaps add up to what the slot gives", () => {
    const roomy = closeUp(plan, piece, plan.top.wet.at)!;
    expect(dimensions(roomy).reduce((sum, each) => sum + each.value, 0)).toBeCloseTo(
      piece.joints.buttons.slotLength - piece.joints.buttons.width,
      9,
    );
    expect(roomy.title).not.toMatch(/binds/);
    const tight = tableWith(at("joints.buttons.slotLength", 31));
    expect(closeUp(planOf(tight), tight, plan.top.wet.at)!.title).toMatch(/binds/);
    const none = tableWith(at("form.crossRails", 0), at("form.top.width", 230), at("form.leg.section", 50));
    expect(closeUp(planOf(none), none, 0)).toBeNull();
  });
  it("the strips fill the month's width", () => {
    for (const month of [plan.top.dry.at, plan.top.wet.at]) {
      const strip = movementScene(plan, piece, month, 1).items.filter(
        (item): item is Extract<Item, { kind: "wood" }> => item.kind === "wood",
      );
      expect(strip.reduce((sum, each) => sum + each.h, 0)).toBeCloseTo(plan.top.width + plan.top.changes[month], 6);
    }
  });
  it("end grain lies side by side across the top", () => {
    const rings = endGrainScene(plan, false).items.filter(
      (item): item is Extract<Item, { kind: "rings" }> => item.kind === "rings",
    );
    expect(rings).toHaveLength(7);
    for (let i = 1; i < rings.length; i += 1) expect(rings[i].x).toBeCloseTo(rings[i - 1].x + rings[i - 1].w, 6);
  });
  it("the two tenons of the leg section mirror each other on its diagonal", () => {
    const paths = legSectionScene(sectionOf(plan)).items.filter(
      (item): item is Extract<Item, { kind: "path" }> => item.kind === "path" && item.id === "tenon",
    );
    const leg = legs(plan).leg.section;
    expect(paths[1].points).toEqual(paths[0].points.map(([x, y]) => [leg - y, leg - x]));
  });
  it("moving an item moves all of it", () => {
    const places = (item: Item) =>
      item.kind === "path" || item.kind === "face"
        ? item.points.map(([x]) => x)
        : item.kind === "dimension"
          ? [item.from[0], item.to[0]]
          : [item.x];
    for (const item of scenes.flatMap((scene) => scene.items))
      places(shifted(item, 125)).forEach((x, i) => expect(x - places(item)[i]).toBeCloseTo(125, 9));
  });
});

describe("a free panel's shape (derived: rings turn each board, unlike faces bend all of it)", () => {
  const turned = (patches: Parameters<typeof tableWith>) =>
    planOf(
      tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7")), ...patches),
      plainRack().map((board) => ({ ...board, ringLeft: -30, ringRight: 30 })),
    );
  it("its rise in the middle is what the plan says it bows, within a tenth, when faces differ", () => {
    const bent = turned([at("faces.heater", "heater"), at("faces.below", "bare")]);
    const at_ = bent.top.bow.reduce((best, each, i) => (Math.abs(each) > Math.abs(bent.top.bow[best]) ? i : best), 0);
    const { strips: poses } = panelProfile(bent.top, bent.species, at_);
    const middle = poses[3];
    expect(Math.abs(bent.top.bow[at_])).toBeGreaterThan(2);
    expect(middle.y / bent.top.bow[at_]).toBeGreaterThan(0.9);
    expect(middle.y / bent.top.bow[at_]).toBeLessThan(1.1);
  });
  it("boards all one way make an arc, alternated ones hardly any", () => {
    const arc = (alternate: boolean) => {
      const of = turned([
        at(
          "panels.top.strips",
          strips("B1", "B2", "B3", "B4", "B5", "B6", "B7").map((strip, i) => ({
            ...strip,
            face: alternate && i % 2 ? ("bark-down" as const) : ("bark-up" as const),
          })),
        ),
      ]);
      return Math.abs(of.top.bow[of.top.dry.at]);
    };
    expect(arc(false)).toBeGreaterThan(5 * arc(true));
  });
  it("nothing moves on the first day", () =>
    expect(Math.max(...panelProfile(plan.top, plan.species, 0).face.map(([, y]) => Math.abs(y)))).toBeLessThan(1e-9));
});

it("what is written on the boards begins clear of the legs below them", () => {
  const plan = planOf(tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"))));
  const reach = Math.max(...plan.geometry.posts.map(({ x, length }) => (x < 0 ? x + length / 2 : -Infinity)));
  const piece = tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7")));
  const written = panelScene(plan, piece, USUAL_SHOP).items.flatMap((item) =>
    item.kind === "text" && item.text === "B1" ? [item.x] : [],
  );
  expect(written).toHaveLength(1);
  expect(written[0]).toBeGreaterThan(reach + plan.geometry.top.length / 2);
});
