import type { Metadata } from "next";
import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { UnitProvider } from "../ui/frame/unit";
import "./globals.css";

export const metadata: Metadata = {
  title: "Taller",
  description: "Plans solid-wood tables from the room to the cut list.",
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  const unit = (await cookies()).get("unit")?.value === "inch" ? "inch" : "mm";
  return (
    <html lang="en">
      <body>
        <UnitProvider first={unit}>{children}</UnitProvider>
      </body>
    </html>
  );
}
