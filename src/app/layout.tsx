import "@fontsource/barlow/400.css";
import "@fontsource/barlow/500.css";
import "@fontsource/barlow/600.css";
import "@fontsource/barlow-semi-condensed/400.css";
import "@fontsource/barlow-semi-condensed/600.css";
import "@fontsource/barlow-semi-condensed/700.css";
import "@fontsource/spline-sans-mono/400.css";
import "@fontsource/spline-sans-mono/500.css";
import "../ui/theme.css";
import type { Metadata, Viewport } from "next";
import type { ReactNode } from "react";
import { themeScript } from "../ui/kit/theme-script";
import { Toasts } from "../ui/kit/toasts";

export const metadata: Metadata = {
  title: { default: "Lumbet", template: "%s · Lumbet" },
  description: "Plan and carry out electrical first fix.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1 };

export default function Layout({ children }: { children: ReactNode }) {
  return (
    <html lang="en-GB" suppressHydrationWarning>
      <head>
        <script dangerouslySetInnerHTML={{ __html: themeScript }} />
      </head>
      <body>
        {children}
        <Toasts />
      </body>
    </html>
  );
}
