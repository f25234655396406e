"use client";

/**
 * Where one is in Hevret, as its address says it. What names something of a site stands behind the "#", which browsers send
 * to nobody (RFC 3986, 3.5); and on the way from one place to another nothing is asked of the server.
 */
import { usePathname } from "next/navigation";
import {
  createContext,
  startTransition,
  useContext,
  useEffect,
  useMemo,
  useState,
  type ComponentProps,
  type MouseEvent,
  type ReactNode,
} from "react";

export interface Place {
  /** As it is sent to the server: "/", or "/site/<id>/<view>". */
  path: string;
  /** What is asked for there, by name. */
  asked: URLSearchParams;
}

/** The place of an address without its origin, such as "/site/1/page#file=a.html". */
export function placeAt(address: string): Place {
  const [path = "", asked] = address.split("#");
  return { path, asked: new URLSearchParams(asked) };
}

/** An address. Names that are asked for stand in it as in a query (URL Standard, 5.2). */
export function addressOf(path: string, asked: Record<string, string> = {}): string {
  const words = new URLSearchParams(asked).toString();
  return words ? `${path}#${words}` : path;
}

export function placeHere(): Place {
  return placeAt(location.pathname + location.hash);
}

const followers = new Set<() => void>();

/**
 * A step of the window's history without a state, past what the framework's router put in the place of its methods: that
 * would ask the server for what is at each address, and write its own back a moment later, when one may be elsewhere.
 *
 * @param instead whether Back leads past where one is now
 */
export function goTo(address: string, instead = false): void {
  History.prototype[instead ? "replaceState" : "pushState"].call(history, null, "", address);
  for (const tell of followers) tell();
}

const Context = createContext<Place>(placeAt("/"));

export function PlaceProvider({ children }: { children: ReactNode }) {
  const asked = usePathname();
  const [address, setAddress] = useState(asked);
  useEffect(() => {
    // What is there stays until the next is loaded.
    const look = () => startTransition(() => setAddress(location.pathname + location.hash));
    followers.add(look);
    // The router minds no step without a state.
    goTo(location.href, true);
    window.addEventListener("popstate", look);
    return () => {
      followers.delete(look);
      window.removeEventListener("popstate", look);
    };
  }, []);
  return <Context value={useMemo(() => placeAt(address), [address])}>{children}</Context>;
}

export function usePlace(): Place {
  return useContext(Context);
}

/** A link to a place in Hevret. */
export function Link({ href, ...rest }: ComponentProps<"a"> & { href: string }) {
  const go = (event: MouseEvent) => {
    // In another window, or as a file, it is what the browser makes of it.
    if (event.button !== 0 || event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return;
    event.preventDefault();
    goTo(href);
  };
  return <a {...rest} href={href} onClick={go} />;
}
