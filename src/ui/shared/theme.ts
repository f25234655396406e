import { theme, type ThemeConfig } from "antd";

/** Ant Design brought to the look of Hevret: its tokens, and nothing else about it. */
const base: ThemeConfig["token"] = {
  fontFamily: "var(--face)",
  fontFamilyCode: "var(--face-mono)",
  lineHeight: 18 / 13,
  borderRadius: 3,
  borderRadiusLG: 3,
  borderRadiusSM: 3,
  borderRadiusXS: 2,
  // What moves while it is clicked loses the click.
  motion: false,
  boxShadow: "none",
  boxShadowSecondary: "0 0 0 1px var(--line)",
  boxShadowTertiary: "none",
  wireframe: false,
};

/** @param rem - how many CSS px so many rem are: the reader's size of text counts for these parts too. */
export function themeFor(room: "light" | "dark", rem: (count: number) => number): ThemeConfig {
  const dark = room === "dark";
  const accent = dark ? "#6cc5a3" : "#0b6b4e";
  return {
    cssVar: { key: "hevret" },
    // Styles come with the build (`scripts/libraryStyles.tsx`): making them here took a tenth of opening a site.
    zeroRuntime: true,
    hashed: false,
    algorithm: dark ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      ...base,
      fontSize: rem(0.8125),
      fontSizeSM: rem(0.75),
      controlHeight: rem(1.75),
      controlHeightSM: rem(1.5),
      colorPrimary: accent,
      colorInfo: accent,
      colorLink: accent,
      colorError: dark ? "#f2959d" : "#a81c2b",
      colorWarning: dark ? "#e5b567" : "#7d4b00",
      colorSuccess: accent,
      colorText: dark ? "#eceeed" : "#171918",
      colorTextSecondary: dark ? "#b9bebb" : "#525855",
      colorTextPlaceholder: dark ? "#a3a8a5" : "#5f6562",
      colorTextDisabled: dark ? "#9a9f9c" : "#6b716e",
      colorBgContainer: dark ? "#2a2b2b" : "#ffffff",
      colorBgElevated: dark ? "#2a2b2b" : "#ffffff",
      colorBgLayout: dark ? "#3a3b3b" : "#c6c7c7",
      colorBorder: dark ? "#8a908d" : "#868c89",
      colorBorderSecondary: dark ? "#4a4d4b" : "#cfd2d0",
      controlItemBgActive: dark ? "#1e3a30" : "#e0efe8",
      controlItemBgActiveHover: dark ? "#1e3a30" : "#e0efe8",
      colorTextDescription: dark ? "#b9bebb" : "#525855",
      controlItemBgHover: dark ? "#2d2e2e" : "#eeefee",
      controlOutline: "transparent",
    },
    components: {
      Button: {
        primaryColor: dark ? "#10201a" : "#ffffff",
        primaryShadow: "none",
        defaultShadow: "none",
        dangerShadow: "none",
        fontWeight: 400,
      },
      Segmented: { itemColor: dark ? "#eceeed" : "#171918", itemHoverColor: dark ? "#eceeed" : "#171918" },
      Tooltip: { colorBgSpotlight: "#171918" },
      Modal: { titleFontSize: rem(1.125) },
    },
  };
}
