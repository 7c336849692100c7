import type { PanelChoice, Piece } from "./schema";

/** What is chosen for every panel of a piece, the top first. */
export const panelChoices = ({ panels }: Pick<Piece, "panels">): PanelChoice[] => Object.values(panels);

/** The same panels, each changed alike. */
export function everyPanel(panels: Piece["panels"], change: (panel: PanelChoice) => PanelChoice): Piece["panels"] {
  const { top, ...others } = panels;
  return {
    ...Object.fromEntries(Object.entries(others).map(([id, panel]) => [id, change(panel)])),
    top: change(top),
  };
}
