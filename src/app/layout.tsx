import { AntdRegistry } from "@ant-design/nextjs-registry";
import type { Metadata } from "next";
import type { ReactNode } from "react";
import { NewerBuild } from "@/ui/shared/NewerBuild";
import { PlaceProvider } from "@/ui/shared/place";
import { RoomProvider } from "@/ui/shared/Room";
import "../../.generated/library.css";
import "./globals.css";

export const metadata: Metadata = {
  title: "Hevret",
  description: "A desk for the type and colour of a website.",
};

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en-GB">
      <body>
        <AntdRegistry>
          <RoomProvider>
            <NewerBuild />
            <PlaceProvider>{children}</PlaceProvider>
          </RoomProvider>
        </AntdRegistry>
      </body>
    </html>
  );
}
