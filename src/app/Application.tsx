"use client";

import dynamic from "next/dynamic";
import { viewAt } from "@/ui/desk/viewPaths";
import { Boundary } from "@/ui/shared/Boundary";
import { Link, usePlace } from "@/ui/shared/place";
import { Shelf } from "@/ui/shelf/Shelf";
import { Nowhere } from "./Nowhere";

/** The shelf can be used before the desk is loaded. */
const Desk = dynamic(() => import("@/ui/desk/Desk").then((module) => module.Desk));

/** All of Hevret: what its address asks for, whichever of its pages was loaded first. */
export function Application() {
  const { path } = usePlace();
  const site = viewAt(path);
  if (site)
    return (
      <Boundary
        heading="This site could not be shown"
        words={
          <>
            A part of Hevret did not come, or stopped. Your sites are kept as they were last saved.{" "}
            <Link href="/">Go to the shelf</Link>
          </>
        }
        back="Load Hevret again"
        // A part that did not come is not asked for again otherwise.
        onBack={() => window.location.reload()}
      >
        <Desk {...site} />
      </Boundary>
    );
  return path === "/" ? <Shelf /> : <Nowhere />;
}
