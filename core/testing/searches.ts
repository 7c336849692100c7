import { Cut, searchCuts, SearchInputs, Stopped } from "../layout/search";

/** What a search comes to in the end. */
export function last(inputs: SearchInputs, from: Stopped | null = null): Cut {
  return [...searchCuts(inputs, from)].at(-1)!;
}
