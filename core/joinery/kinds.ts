/** Every kind of joint that is sized by itself: what it does in wood, what it holds, its card. A new kind is its file and a line here. */
import { BlindTenon, blindTenonBodies, blindTenonCard, blindTenonHeld } from "./blind-tenon";
import { Bolted, boltedBodies, boltedCard, boltedHeld } from "./bolted";
import { Bridle, bridleBodies, bridleCard, bridleHeld } from "./bridle";
import { Dovetail, dovetailBodies, dovetailCard, dovetailHeld } from "./dovetail";
import { Dowelled, dowelledBodies, dowelledCard, dowelledHeld } from "./dowelled";
import { Glued, gluedBodies, gluedCard, gluedHeld } from "./glued";
import { HalfLap, halfLapBodies, halfLapCard, halfLapHeld } from "./half-lap";
import { Housing, housingBodies, housingCard, housingHeld } from "./housing";
import { Inlaid, inlaidBodies, inlaidCard, inlaidHeld } from "./inlaid";
import type { Held, JointBodies, SettingCard } from "./joint";
import { Lagged, laggedBodies, laggedCard, laggedHeld } from "./lag";
import { mitreBodies, mitreCard, mitreHeld } from "./mitre";
import type { Mitre } from "./mitred";
import { PocketScrewed, pocketScrewedBodies, pocketScrewedCard, pocketScrewedHeld } from "./pocket-screwed";
import { RailTenon, railTenonBodies, railTenonCard, railTenonHeld } from "./rail-tenon";
import { Rebated, rebatedBodies, rebatedCard, rebatedHeld } from "./rebated";
import { Screwed, screwedBodies, screwedCard, screwedHeld } from "./screwed";
import { Floating, floatingBodies, floatingCard, floatingHeld } from "./floating";
import { Seam, seamBodies, seamCard, seamHeld } from "./seam";
import { SlidingDovetail, slidingDovetailBodies, slidingDovetailCard, slidingDovetailHeld } from "./sliding-dovetail";
import { Staked, stakedBodies, stakedCard, stakedHeld } from "./staked";
import { ThroughTenon, throughTenonBodies, throughTenonCard, throughTenonHeld } from "./through-tenon";

export type KindOfJoint =
  | BlindTenon
  | ThroughTenon
  | SlidingDovetail
  | Lagged
  | Housing
  | HalfLap
  | RailTenon
  | Screwed
  | Bridle
  | Mitre
  | Bolted
  | Dovetail
  | Rebated
  | Glued
  | Dowelled
  | PocketScrewed
  | Inlaid
  | Staked
  | Seam
  | Floating;

interface Kind<J> {
  name: string;
  bodies: (joint: J, outward: 1 | -1) => JointBodies;
  held: (joint: J) => Held[];
  card: (joint: J) => SettingCard;
}

const KINDS: { [K in KindOfJoint["kind"]]: Kind<Extract<KindOfJoint, { kind: K }>> } = {
  "blind-tenon": {
    name: "Blind mortise and tenon",
    bodies: blindTenonBodies,
    held: blindTenonHeld,
    card: blindTenonCard,
  },
  "rail-tenon": {
    name: "Mortise and tenon",
    bodies: railTenonBodies,
    held: railTenonHeld,
    card: railTenonCard,
  },
  mitre: { name: "Mitre", bodies: mitreBodies, held: mitreHeld, card: mitreCard },
  screwed: { name: "Screws", bodies: screwedBodies, held: screwedHeld, card: screwedCard },
  "through-tenon": {
    name: "Through tenon",
    bodies: throughTenonBodies,
    held: throughTenonHeld,
    card: throughTenonCard,
  },
  "sliding-dovetail": {
    name: "Sliding dovetail",
    bodies: slidingDovetailBodies,
    held: slidingDovetailHeld,
    card: slidingDovetailCard,
  },
  housing: { name: "Housing", bodies: housingBodies, held: housingHeld, card: housingCard },
  bolted: { name: "Bolts through steel", bodies: boltedBodies, held: boltedHeld, card: boltedCard },
  bridle: { name: "Bridle joint", bodies: bridleBodies, held: bridleHeld, card: bridleCard },
  dovetail: { name: "Dovetails", bodies: dovetailBodies, held: dovetailHeld, card: dovetailCard },
  rebated: { name: "Rebated corner", bodies: rebatedBodies, held: rebatedHeld, card: rebatedCard },
  glued: { name: "Glued edge", bodies: gluedBodies, held: gluedHeld, card: gluedCard },
  dowelled: { name: "Dowels", bodies: dowelledBodies, held: dowelledHeld, card: dowelledCard },
  "pocket-screwed": {
    name: "Pocket screws",
    bodies: pocketScrewedBodies,
    held: pocketScrewedHeld,
    card: pocketScrewedCard,
  },
  "half-lap": { name: "Half-lap", bodies: halfLapBodies, held: halfLapHeld, card: halfLapCard },
  inlaid: { name: "Inlay", bodies: inlaidBodies, held: inlaidHeld, card: inlaidCard },
  staked: { name: "Leg’s tenon in the top", bodies: stakedBodies, held: stakedHeld, card: stakedCard },
  floating: { name: "Floating tenons", bodies: floatingBodies, held: floatingHeld, card: floatingCard },
  seam: { name: "Dry seam", bodies: seamBodies, held: seamHeld, card: seamCard },
  lagged: { name: "Lag screw into a loose tenon", bodies: laggedBodies, held: laggedHeld, card: laggedCard },
};

const of = (joint: KindOfJoint) => KINDS[joint.kind] as Kind<KindOfJoint>;

export const kindName = (joint: KindOfJoint) => of(joint).name;
/** @param outward  see `Meeting` */
export const bodiesOf = (joint: KindOfJoint, outward: 1 | -1 = 1): JointBodies => of(joint).bodies(joint, outward);
export const heldBy = (joint: KindOfJoint): Held[] => of(joint).held(joint);
export function cardOf(joint: KindOfJoint): SettingCard {
  const card = of(joint).card(joint);
  return joint.sawnTo ? { ...card, lines: [...joint.sawnTo, ...card.lines] } : card;
}
