/** Adhesives by kind. Minutes, hours; the label of the one in your hand rules. @source common practice */
export interface Adhesive {
  id: string;
  name: string;
  open: number;
  clampHours: number;
  fullHours: number;
  outdoors: boolean;
  coldest: number;
  note: string;
}

export const ADHESIVES: Adhesive[] = [
  {
    id: "pva",
    name: "White or yellow PVA",
    open: 6,
    clampHours: 1,
    fullHours: 24,
    outdoors: false,
    coldest: 10,
    note: "Fast grip; lay up without pausing.",
  },
  {
    id: "pva-slow",
    name: "Slow-set PVA",
    open: 15,
    clampHours: 1,
    fullHours: 24,
    outdoors: false,
    coldest: 10,
    note: "Time for a whole panel.",
  },
  {
    id: "pva-water",
    name: "Water-resistant PVA",
    open: 7,
    clampHours: 1,
    fullHours: 24,
    outdoors: true,
    coldest: 10,
    note: "Outdoors under cover.",
  },
  {
    id: "hide",
    name: "Liquid hide",
    open: 25,
    clampHours: 8,
    fullHours: 24,
    outdoors: false,
    coldest: 12,
    note: "Lubricates tight joints and lets go to heat and water.",
  },
  {
    id: "epoxy-slow",
    name: "Slow epoxy",
    open: 60,
    clampHours: 12,
    fullHours: 72,
    outdoors: true,
    coldest: 10,
    note: "Fills gaps; contact pressure only. Gloves.",
  },
  {
    id: "polyurethane",
    name: "Polyurethane",
    open: 20,
    clampHours: 4,
    fullHours: 24,
    outdoors: true,
    coldest: 8,
    note: "Foams; mask the show faces.",
  },
];

export const findAdhesive = (id: string): Adhesive => ADHESIVES.find((each) => each.id === id) ?? ADHESIVES[0];

/** Pressure that closes a good joint, MPa, and glue on one line, g/m². @source common practice */
export const PRESSURE = { softwood: 0.7, hardwood: 1.2, epoxy: 0.1 };
export const GLUE_GRAMS = 200;
