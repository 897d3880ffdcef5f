"use client";
import { Volume2 } from "lucide-react";
import { useState } from "react";
import { Button } from "../../kit/button";

/** Says a mark aloud with the voice of the device, also without a signal; told where the device has none. */
export function Speak({ text }: { text: string }) {
  const [fault, setFault] = useState<string | null>(null);
  const say = (): void => {
    if (!("speechSynthesis" in window)) return setFault("This device has no voice.");
    window.speechSynthesis.cancel();
    const words = new SpeechSynthesisUtterance(text);
    words.lang = "en-GB";
    words.rate = 0.9;
    words.onerror = (e) => {
      if (e.error !== "canceled" && e.error !== "interrupted")
        setFault("This device did not say it: it has no voice for English.");
    };
    setFault(null);
    window.speechSynthesis.speak(words);
  };
  return (
    <div>
      <Button big icon={<Volume2 size={22} />} onClick={say} data-speak={text}>
        Say it
      </Button>
      {fault ? (
        <p role="alert" className="mt-1 text-[14px] text-warn">
          {fault}
        </p>
      ) : null}
    </div>
  );
}
