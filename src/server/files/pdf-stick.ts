import { type Block, type Strip, STICK_OVERLAP, stripsOf } from "../../core/papers/paper";
import { type Flow, INK, SOFT, STOP, inMm, room } from "./pdf-flow";
import { pt, setLine } from "./pdf-words";

/** Height of one strip of a stick with its words, mm. */
export const STRIP = 27;

/** A stick in as many strips as the paper makes it. */
export function stickBlock(f: Flow, b: Extract<Block, { kind: "stick" }>): void {
  const strips = stripsOf(b.length, b.marks, Math.floor(inMm(f.wide)));
  strips.forEach((s, i) => {
    if (room(f) < pt(STRIP)) f.newPage();
    drawStrip(f, s, `${b.name}, strip ${i + 1} of ${strips.length}`, i, strips.length);
    f.y += pt(STRIP);
  });
}

/** One strip at true scale: centimetres and decimetres along its upper edge, marks across it, join marks where the next is laid on. */
function drawStrip({ doc, x, y }: Flow, s: Strip, name: string, n: number, of: number): void {
  const at = (mm: number): number => x + pt(mm - s.from);
  doc
    .undash()
    .rect(x, y, pt(s.to - s.from), pt(16))
    .lineWidth(0.8)
    .stroke(INK);
  for (let mm = Math.ceil(s.from / 10) * 10; mm <= s.to; mm += 10) {
    const long = mm % 100 === 0 ? 5 : mm % 50 === 0 ? 3.5 : 2;
    doc
      .moveTo(at(mm), y)
      .lineTo(at(mm), y + pt(long))
      .lineWidth(mm % 100 ? 0.4 : 0.8)
      .stroke(INK);
    if (mm % 100 === 0) setLine(doc, String(mm), at(mm) + 2, y + pt(4.4), "figures", 6.5, { ink: SOFT });
  }
  for (const join of [...(n ? [s.from + STICK_OVERLAP] : []), ...(n < of - 1 ? [s.to - STICK_OVERLAP] : [])])
    doc
      .dash(2, { space: 1.5 })
      .moveTo(at(join), y)
      .lineTo(at(join), y + pt(16))
      .lineWidth(0.6)
      .stroke(STOP)
      .undash();
  s.marks.forEach((m, i) => {
    doc
      .moveTo(at(m.at), y + pt(5))
      .lineTo(at(m.at), y + pt(16))
      .lineWidth(1.1)
      .stroke(INK);
    const line = i % 3;
    const right = at(m.at) > x + pt(s.to - s.from) - pt(45);
    setLine(doc, m.text, at(m.at) + (right ? -2 : 2), y + pt(8.2 + 3 * line), "plain", 7, {
      align: right ? "end" : "start",
    });
  });
  const bar = at(s.from) + pt(120);
  const foot = y + pt(19.5);
  setLine(doc, `${name}${of > 1 ? " · lay the next on at the broken line" : ""}`, x, foot, "plain", 7.5, { ink: SOFT });
  doc
    .moveTo(bar, foot)
    .lineTo(bar + pt(100), foot)
    .lineWidth(1)
    .stroke(INK);
  setLine(doc, "100 mm: measure it", bar + pt(102), foot, "plain", 7.5, { ink: SOFT });
}
