"use client";
import {
  type Announcements,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import {
  SortableContext,
  horizontalListSortingStrategy,
  rectSwappingStrategy,
  sortableKeyboardCoordinates,
  useSortable,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical } from "lucide-react";
import { type ReactNode, useId } from "react";

interface Item {
  id: string;
  /** How it is called, for those who cannot see it. */
  name: string;
  content: ReactNode;
  /** It stays where it is. */
  fixed?: boolean;
}

/**
 * Things that are put in another order by the hand or by the keyboard: space, arrows, space. `swap`: two change places, else those
 * between move up.
 */
export function Sortable({
  label,
  items,
  swap = false,
  onMove,
  className = "",
}: {
  label: string;
  items: readonly Item[];
  swap?: boolean;
  onMove: (id: string, over: string) => void;
  className?: string;
}) {
  const id = useId();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const name = (x: string | number | undefined): string => items.find((i) => i.id === x)?.name ?? "";
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${name(active.id)} picked up.`,
    onDragOver: ({ active, over }) => (over ? `${name(active.id)} to the place of ${name(over.id)}.` : "Off the list."),
    onDragEnd: ({ active, over }) => (over ? `${name(active.id)} put down.` : `${name(active.id)} left where it was.`),
    onDragCancel: ({ active }) => `${name(active.id)} left where it was.`,
  };
  const end = ({ active, over }: DragEndEvent): void => {
    if (over && over.id !== active.id) onMove(String(active.id), String(over.id));
  };
  return (
    <DndContext
      id={id}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={end}
      accessibility={{
        announcements,
        screenReaderInstructions: {
          draggable: "Space picks it up, arrows move it, space puts it down, escape leaves it.",
        },
      }}
    >
      <SortableContext
        items={items.map((x) => x.id)}
        strategy={swap ? rectSwappingStrategy : horizontalListSortingStrategy}
      >
        <ol className={className} aria-label={label}>
          {items.map((x) => (
            <Row key={x.id} item={x} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Row({ item }: { item: Item }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: item.id,
    disabled: { draggable: item.fixed ?? false },
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-center border border-line bg-panel ${isDragging ? "z-10 shadow-lg" : ""}`}
      data-sort={item.id}
    >
      {item.fixed ? (
        <span className="min-w-6" />
      ) : (
        <button
          type="button"
          aria-label={`Move ${item.name}`}
          className="inline-flex min-h-8 min-w-6 cursor-grab touch-none items-center justify-center text-soft hover:text-ink"
          {...attributes}
          {...listeners}
        >
          <GripVertical size={14} aria-hidden />
        </button>
      )}
      {item.content}
    </li>
  );
}
