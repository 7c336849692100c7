"use client";
import { Resting } from "../ui/frame/Resting";

/** A page that could not be made: mostly because the database does not answer just now. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return <Resting onAwake={reset} />;
}
