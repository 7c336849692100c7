"use client";
import { Resting } from "../ui/frame/Resting";
import "./globals.css";

/** The same where even the frame around all pages could not be made. */
export default function WholeError() {
  return (
    <html lang="en">
      <body>
        <Resting onAwake={() => location.reload()} />
      </body>
    </html>
  );
}
