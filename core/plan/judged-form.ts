/** Rules of what stands: the brief, the form, its fit and its woods. */
import { BRIEF_RULES } from "../brief/rules";
import { thingRules } from "../brief/things";
import { baseOf } from "../construction/base";
import { oneWood } from "../construction/base/one-blank";
import { CURVE_RULES } from "../construction/curve-rules";
import { RING_RULES } from "../construction/ring/rules";
import { FIT_RULES } from "../construction/fit-rules";
import { FORM_RULES } from "../construction/rules";
import { DROP_RULES } from "../construction/dropping/rules";
import { FACING_RULES } from "../construction/facing/rules";
import { HATCH_RULES } from "../construction/hatch/rules";
import { FEET_RULES } from "../construction/fitting/feet-rules";
import { PARTING_RULES } from "../construction/parting/rules";
import { TURN_RULES } from "../construction/turning/rules";
import { SLAB_RULES } from "../construction/top/slab-rules";
import { OUTDOOR_RULES } from "../outdoors/rules";
import { STRIPE_RULES } from "../movement/stripe-rules";
import { slatScrewsRule } from "../movement/slat-rules";
import { OWN_RULES } from "../construction/own/rules";
import { WOOD_RULES } from "../wood/unknown-rules";
import { judge } from "../verdict/faults";
import { WORK } from "./work";

export const FORM_JUDGED = WORK.stage(
  "briefJudged",
  "brief",
  ({ piece, geometry }) => ({ brief: piece.brief, form: piece.form, between: geometry.between, times: piece.times }),
  ({ brief, form, between, times }) => judge("brief", BRIEF_RULES, { brief, form, between, times }),
)
  .stage(
    "thingsJudged",
    "brief",
    ({ piece, geometry, assembled }) => ({
      things: piece.brief.things,
      height: piece.form.height,
      top: geometry.top,
      lifted: geometry.lifted?.by ?? 0,
      parts: assembled,
    }),
    ({ things, height, top, lifted, parts }) =>
      judge("brief", [thingRules], { brief: { things }, form: { height }, top, lifted, parts }),
  )
  .stage(
    "baseFacts",
    "form",
    ({ piece, geometry, joints, shop, species, rack, weight }) => ({
      form: piece.form,
      at: geometry,
      joints,
      choices: piece.joints,
      brief: piece.brief,
      shop,
      species,
      longest: rack.reduce((most, each) => (each.species === species.id ? Math.max(most, each.length) : most), 0),
      weight,
    }),
    ({ form, at, joints, choices, brief, shop, species, longest, weight }) => ({
      ...{ form, at, joints, choices, brief, shop, species, longest, weight },
    }),
  )
  .stage(
    "formJudged",
    "form",
    ({ piece, geometry, species, shop }) => ({
      form: piece.form,
      brief: piece.brief,
      at: geometry,
      species,
      lift: shop.lift,
    }),
    ({ form, brief, at, species, lift }) => judge("form", FORM_RULES, { form, brief, at, species, lift }),
  )
  .stage(
    "fitJudged",
    "form",
    ({ clashes, opened, touches, assembled, piece, shop }) => ({
      ...{ clashes, opened, touches },
      parts: assembled,
      kinds: piece.kinds,
      shop,
    }),
    ({ clashes, opened, touches, parts, kinds, shop }) =>
      judge("form", FIT_RULES, { clashes, opened, touches, parts, kinds, shop }),
  )
  .stage(
    "curvesJudged",
    "form",
    ({ piece, assembled }) => ({ kinds: piece.kinds, parts: assembled }),
    (facts) => judge("form", CURVE_RULES, facts),
  )
  .stage(
    "ringJudged",
    "form",
    ({ piece, geometry, top }) => ({ piece: { form: piece.form, choices: piece.choices }, at: geometry, top }),
    (facts) => judge("form", RING_RULES, facts),
  )
  .stage(
    "rowsJudged",
    "form",
    ({ piece, geometry }) => ({ at: geometry, species: piece.species, kinds: piece.kinds }),
    (facts) => judge("form", [oneWood], facts),
  )
  .stage(
    "partingJudged",
    "form",
    ({ piece, geometry, joints, shop, species, baseFacts, held }) => ({
      form: piece.form,
      at: geometry,
      brief: piece.brief,
      joints,
      shop,
      species,
      longest: baseFacts.longest,
      stiffeners: held.stiffeners,
    }),
    ({ stiffeners, ...facts }) => judge("form", PARTING_RULES, { ...facts, stiffeners: stiffeners?.x ?? [] }),
  )
  .stage(
    "dropJudged",
    "form",
    ({ piece, geometry, species, weight }) => ({ form: piece.form, at: geometry, brief: piece.brief, species, weight }),
    (facts) => judge("form", DROP_RULES, facts),
  )
  .stage(
    "turnJudged",
    "form",
    ({ piece, geometry, weight }) => ({ form: piece.form, at: geometry, brief: piece.brief, weight }),
    (facts) => judge("form", TURN_RULES, facts),
  )
  .stage(
    "facingJudged",
    "form",
    ({ piece, geometry, species, bed }) => ({ form: piece.form, at: geometry, species: bed?.species ?? species }),
    (facts) => judge("form", FACING_RULES, facts),
  )
  .stage(
    "hatchJudged",
    "form",
    ({ piece, geometry, species, assembled }) => ({ form: piece.form, at: geometry, species, parts: assembled }),
    (facts) => judge("form", HATCH_RULES, facts),
  )
  .stage(
    "feetJudged",
    "form",
    ({ piece, geometry, assembled, weight }) => ({ form: piece.form, at: geometry, parts: assembled, weight }),
    (facts) => judge("form", FEET_RULES, facts),
  )
  .stage(
    "slabsJudged",
    "form",
    ({ piece, geometry, top }) => ({ form: piece.form, at: geometry, top }),
    (facts) => judge("form", SLAB_RULES, facts),
  )
  .stage(
    "outdoorsJudged",
    "form",
    ({ piece, geometry, species }) => ({ piece, at: geometry, species }),
    ({ piece, at, species }) => judge("form", OUTDOOR_RULES, { piece, at, species }),
  )
  .stage(
    "slatsJudged",
    "movement",
    ({ piece, geometry }) => ({ form: piece.form, at: geometry }),
    ({ form, at }) => judge("movement", [slatScrewsRule], { form, at }),
  )
  .stage(
    "stripesJudged",
    "movement",
    ({ piece, geometry, stripes, top }) => ({
      form: piece.form,
      stripes: geometry.core.striped ? stripes : [],
      top,
    }),
    (facts) => judge("movement", STRIPE_RULES, facts),
  )
  .stage(
    "woodJudged",
    "form",
    ({ piece, ownSpecies }) => ({ species: piece.species, kinds: piece.kinds, own: ownSpecies }),
    ({ species, kinds, own }) => judge("form", WOOD_RULES, { species, kinds, own }),
  )
  .stage(
    "baseJudged",
    "form",
    ({ baseFacts }) => ({ facts: baseFacts }),
    ({ facts }) => judge("form", baseOf(facts.form.kind).formRules, facts),
  )
  .stage(
    "ownJudged",
    "form",
    ({ piece, own }) => ({ chosen: piece.own, own }),
    ({ chosen, own: { pairs, parts } }) => judge("form", OWN_RULES, { own: chosen, pairs, parts }),
  );
