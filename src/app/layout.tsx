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
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { themeScript } from "../ui/kit/theme-script";
import { me } from "../server/who";
import { MeProvider } from "../ui/kit/me";
import { Toasts } from "../ui/kit/toasts";

export const metadata: Metadata = {
  title: { default: "Lumbet", template: "%s · Lumbet" },
  description: "Plan and carry out electrical first fix.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1 };

export default async function Layout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get("x-nonce") ?? "";
  const who = await me();
  return (
    <html lang="en-GB" suppressHydrationWarning>
      <head>
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: themeScript }} />
      </head>
      <body>
        <MeProvider me={who && { name: who.name, role: who.role }}>{children}</MeProvider>
        <Toasts />
      </body>
    </html>
  );
}
