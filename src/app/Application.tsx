"use client";

import dynamic from "next/dynamic";
import { viewAt } from "@/ui/desk/viewPaths";
import { usePlace } from "@/ui/shared/place";
import { Shelf } from "@/ui/shelf/Shelf";
import { Nowhere } from "./Nowhere";

/** The shelf can be used before the desk is loaded. */
const Desk = dynamic(() => import("@/ui/desk/Desk").then((module) => module.Desk));

/** All of Hevret: what its address asks for, whichever of its pages was loaded first. */
export function Application() {
  const { path } = usePlace();
  const site = viewAt(path);
  if (site) return <Desk {...site} />;
  return path === "/" ? <Shelf /> : <Nowhere />;
}
