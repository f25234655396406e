import { AntdRegistry } from "@ant-design/nextjs-registry";
import type { Metadata } from "next";
import type { ReactNode } from "react";
import { NewerBuild } from "@/ui/shared/NewerBuild";
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
            {children}
          </RoomProvider>
        </AntdRegistry>
      </body>
    </html>
  );
}
