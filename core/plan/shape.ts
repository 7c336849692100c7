/** First of the list: what the piece is made of, where it stands, and the boards of its panel. */
import { moistureYear } from "../climate/year";
import { proposeTable } from "../brief/propose";
import type { BaseGeometry } from "../construction/base";
import { placed } from "../construction/placed";
import { shapedTop } from "../construction/top/outline";
import { meanOf, slabsOf } from "../construction/top/slabs";
import { Stripe, stripesOf } from "../construction/top/stripes";
import { knownBoards, layStrips } from "../layout/lay";
import { addDays } from "../movement/course";
import { courseOfTop, looksOf, readsOf, roomAirOf, shopAirOf, Surroundings } from "../movement/courses";
import { filmsOf } from "../movement/faces";
import { latestMoisture } from "../piece/measured";
import { panelsMade } from "../piece/times";
import type { PanelPlace, PieceGeometry } from "../construction/geometry";
import { panelSeen } from "../panels/lens";
import { BED_KIND } from "../construction/facing/bed";
import { asBlank } from "../panels/row";
import { panelPlaces } from "../panels/places";
import type { PanelChoice, Piece } from "../piece/schema";
import type { LaidStrip } from "../stock/panel-facts";
import { stageList } from "../stages";
import { findSpecies, Species } from "../wood/species";
import { STAND_IN } from "../wood/unknown-rules";
import { woodOf, Woods, woodsOf } from "../wood/woods";
import { candidatesFor } from "./found";
import type { PlanInputs } from "./inputs";

/** Days from the first working day to delivery where no day is promised. @source common practice: six weeks */
const USUAL_BUILD = 42;

export const SHAPE = stageList<PlanInputs>()
  .stage(
    "species",
    "form",
    ({ piece, ownSpecies }) => ({ id: piece.species, own: ownSpecies }),
    ({ id, own }) => findSpecies(id, own) ?? STAND_IN,
  )
  .stage(
    "woods",
    "form",
    ({ piece, ownSpecies }) => ({ kinds: piece.kinds, own: ownSpecies }),
    ({ kinds, own }): Woods => woodsOf(kinds, own),
  )
  .stage(
    "proposal",
    "brief",
    ({ piece }) => ({ brief: piece.brief }),
    ({ brief }) => proposeTable(brief),
  )
  .stage(
    "geometry",
    "form",
    ({ piece }) => ({ form: piece.form, asBuilt: piece.asBuilt }),
    ({ form, asBuilt }): BaseGeometry => placed(form, asBuilt),
  )
  .stage(
    "year",
    "movement",
    ({ piece }) => ({ climate: piece.brief.climate }),
    ({ climate }) => moistureYear(climate),
  )
  .stage(
    "start",
    "movement",
    ({ piece }) => ({ moisture: piece.moisture, log: piece.log }),
    ({ moisture, log }) => latestMoisture({ moisture, log }),
  )
  .stage(
    "delivered",
    "movement",
    ({ piece }) => ({ day: piece.delivery ?? piece.brief.deadline ?? addDays(piece.day, USUAL_BUILD) }),
    ({ day }) => day,
  )
  .stage(
    "films",
    "movement",
    ({ piece }) => ({ finish: piece.finish, faces: piece.faces }),
    ({ finish, faces }) => filmsOf(finish, faces),
  )
  .stage(
    "shopAir",
    "movement",
    ({ shop }) => ({ climate: shop.climate }),
    ({ climate }) => shopAirOf(climate),
  )
  .stage(
    "roomAir",
    "movement",
    ({ year, piece }) => ({ year, faces: piece.faces }),
    ({ year, faces }) => roomAirOf(year, faces),
  )
  .stage(
    "surroundings",
    "movement",
    ({ species, start, delivered, shopAir, roomAir, films, year }) => ({
      ...{ species, start, delivered },
      shop: shopAir,
      room: roomAir,
      films,
      year,
    }),
    ({ species, start, delivered, shop, room, films, year }): Surroundings => ({
      ...{ species, start, delivered, shop, room, films, year },
    }),
  )
  .stage(
    "topCourse",
    "movement",
    ({ geometry, surroundings }) => ({ thickness: geometry.core.thickness, surroundings }),
    ({ thickness, surroundings }) => courseOfTop(thickness, surroundings),
  )
  .items(
    "places",
    "boards",
    ({ piece, geometry }) => ({ form: piece.form, geometry, times: piece.times }),
    ({ form, geometry, times }) => panelPlaces(form, geometry, times),
  )
  // the top as it is composed and glued, which may be a blank for more
  .stage(
    "blank",
    "boards",
    ({ geometry }) => ({ geometry }),
    ({ geometry }) => asBlank(geometry),
  )
  .stage(
    "reads",
    "movement",
    // by name: a panel that is only moved or sized is read as before
    ({ piece, places }) => ({
      log: piece.log,
      kinds: piece.kinds,
      panels: places.map(({ id, kind }) => `${id} ${kind}`).join(),
    }),
    ({ log, kinds, panels }) => {
      const kindOf = new Map(panels.split(",").map((each) => each.split(" ") as [string, string]));
      return readsOf(log, (what) => kindOf.get(what) ?? (kinds[what] && what !== "top" ? what : null));
    },
  )
  .stage(
    "looks",
    "movement",
    ({ piece, reads, woods, surroundings }) => ({
      kinds: piece.kinds,
      faces: piece.faces,
      reads,
      woods,
      usual: surroundings,
    }),
    ({ kinds, faces, reads, woods, usual }) => looksOf({ kinds, faces }, reads, woods, usual),
  )
  .stage(
    "found",
    "boards",
    ({ rack, species, blank, shop, piece }) => ({
      ...{ rack, shop, species: species.id, at: blank, choice: piece.panels.top, top: piece.form.top },
      ...keyed(elsewhere(piece, "top")),
    }),
    ({ rack, species, at, shop, choice, top, ...others }) =>
      candidatesFor({
        ...{ rack, species, at, shop },
        choice: withOthers(choice, Object.values(others)),
        top: shapedTop(top, at),
      }),
  )
  .stage(
    "known",
    "boards",
    ({ rack, piece }) => ({ rack, sawn: piece.cutting.sawn }),
    ({ rack, sawn }) => knownBoards(rack, sawn),
  )
  .stage(
    "lay",
    "boards",
    ({ piece, known, blank, shop, found }) => ({
      panel: piece.panels.top,
      top: piece.form.top,
      boards: known,
      at: blank,
      shop,
      candidates: found.candidates,
      sawn: piece.cutting.sawn,
    }),
    ({ panel, top, boards, at, shop, candidates, sawn }) =>
      layStrips({ panel, top: shapedTop(top, at), boards, at, shop, candidates, sawn }),
  )
  .each(
    "others",
    "boards",
    ({ places, piece, geometry, known, rack, shop, species, woods }) => [
      places,
      {
        ...{ panels: piece.panels, top: piece.form.top, times: piece.times, sawn: piece.cutting.sawn },
        ...{ geometry, boards: known, rack, shop, usual: species, woods },
      },
    ],
    (place, { panels, top: whole, times, geometry, boards, rack, shop, usual, woods, sawn }): OtherPanel => {
      const { at, choice, top: seen } = panelSeen({ panels, form: { top: whole } }, geometry, place);
      const top = place.kind === "top" ? shapedTop(seen, at) : seen;
      const found = candidatesFor({
        rack,
        species: woodOf(woods, place.kind, usual).id,
        ...{ at, shop, top },
        choice: withOthers(choice, elsewhere({ panels, times }, place.id)),
      });
      return {
        ...{ place, at, found },
        ...layStrips({ panel: choice, top, boards, at, shop, candidates: found.candidates, sawn }),
      };
    },
  )
  // a top of stripes or slabs is not composed: strips by their woods
  .stage(
    "stripes",
    "boards",
    ({ piece, geometry, species, woods }) => ({ form: piece.form, at: geometry, species, woods }),
    ({ form, at: { core, top }, species, woods }) =>
      core.slabs
        ? slabsOf(form, top).map((slab) => ({
            ...{ kind: slab.kind, mark: slab.id, species: woodOf(woods, slab.kind, species) },
            ...{ from: meanOf(slab.front), width: Math.max(1, meanOf(slab.back) - meanOf(slab.front)) },
          }))
        : core.striped
          ? stripesOf(form, core.width).map((each) => ({ ...each, species: woodOf(woods, each.kind, species) }))
          : NO_STRIPES,
  )
  .stage(
    "bed",
    "boards",
    ({ geometry, species, woods }) => ({ inserted: geometry.inserted, species, woods }),
    ({ inserted: strip, species, woods }) =>
      strip ? { ...strip, kind: BED_KIND, species: woodOf(woods, BED_KIND, species) } : null,
  )
  // rings of boards that can't be laid are unknown, as before any are chosen
  .stage(
    "strips",
    "boards",
    ({ lay }) => ({ laid: lay.laid }),
    ({ laid }) => laid,
  )
  .otherwise([]);

const NO_STRIPES: (Stripe & { species: Species })[] = [];

/** A panel beside the top: the boards it could have and those that are laid. */
export interface OtherPanel {
  place: PanelPlace;
  at: PieceGeometry;
  found: ReturnType<typeof candidatesFor>;
  laid: LaidStrip[];
  missing: string[];
}

/** Strips of every other panel, which a panel leaves alone: no two claim one board. */
const elsewhere = (piece: Pick<Piece, "panels" | "times">, id: string): PanelChoice["strips"][] =>
  panelsMade(piece).flatMap(([name, panel]) => (name === id ? [] : [panel.strips]));

/** Each under a name of its own, so that a stage remembers each by identity. */
const keyed = (strips: readonly PanelChoice["strips"][]): Record<`strips of ${number}`, PanelChoice["strips"]> =>
  Object.fromEntries(strips.map((each, i) => [`strips of ${i}`, each]));

const withOthers = (choice: PanelChoice, others: readonly PanelChoice["strips"][]): PanelChoice => ({
  ...choice,
  banned: [...choice.banned, ...others.flatMap((strips) => strips.map((each) => each.board))],
});
