/** Shelves of one bay are alike. */
export const shelfKind = (bay: number) => (bay > 0 ? `case-shelf-${bay + 1}` : "case-shelf");
/** Rails between drawers of one bay are alike. */
export const railKind = (bay: number) => (bay > 0 ? `drawer-rail-${bay + 1}` : "drawer-rail");
