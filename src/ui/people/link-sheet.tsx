"use client";
import { Copy } from "lucide-react";
import QRCode from "qrcode";
import { useEffect, useState } from "react";
import { toast } from "sonner";
import { Button } from "../kit/button";
import { Sheet } from "../kit/dialog";

/** A link to be scanned or copied, shown once. */
export interface ShownLink {
  title: string;
  about: string;
  path: string;
}

/** `address`: where other devices reach this server; the page's own when that is no name of this machine alone. */
export function LinkSheet({
  link,
  address,
  onClose,
}: {
  link: ShownLink | null;
  address: string;
  onClose: () => void;
}) {
  const [svg, setSvg] = useState("");
  const url = link ? `${reached(address)}${link.path}` : "";
  useEffect(() => {
    if (!url) return setSvg("");
    // White round it and in it, whatever the theme: phones look for dark on light.
    void QRCode.toString(url, { type: "svg", margin: 3, errorCorrectionLevel: "M" }).then(setSvg);
  }, [url]);
  return (
    <Sheet
      open={link !== null}
      onOpenChange={(o) => !o && onClose()}
      title={link?.title ?? ""}
      about={link?.about ?? ""}
    >
      <div className="grid justify-items-center gap-3">
        <div
          role="img"
          aria-label="The link as a square code to scan"
          className="w-64 max-w-full bg-white"
          data-qr={url}
          dangerouslySetInnerHTML={{ __html: svg }}
        />
        <p className="max-w-full font-mono text-[12.5px] break-all select-all">{url}</p>
        <Button
          icon={<Copy size={15} />}
          data-do
          onClick={() =>
            void navigator.clipboard.writeText(url).then(
              () => toast("Copied"),
              () => toast.error("This browser does not let a page copy; mark the link and copy it."),
            )
          }
        >
          Copy the link
        </Button>
      </div>
    </Sheet>
  );
}

/** Where a phone reaches this server: not by a name that means the phone itself there. */
const reached = (address: string): string => {
  if (typeof window === "undefined") return address;
  const { hostname, origin } = window.location;
  return ["localhost", "127.0.0.1", "[::1]"].includes(hostname) && address ? address : origin;
};
