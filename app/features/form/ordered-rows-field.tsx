import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical } from "lucide-react";
import { type ComponentProps, useId } from "react";
import { type RowOrder, RowsField, rowClass } from "./rows-field";

/** Rows whose order says something: dragged by their grip, or moved by the space bar and arrows on it. */
export const OrderedRowsField = (props: Omit<ComponentProps<typeof RowsField>, "order">) => (
  <RowsField {...props} order={{ Round, Row }} />
);

const Round: RowOrder["Round"] = ({ ids, onMove, children }) => {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const place = (id: string | number | undefined) => ids.indexOf(String(id)) + 1;
  return (
    <DndContext
      id={useId()}
      accessibility={{
        screenReaderInstructions: {
          draggable:
            "The space bar takes it up, arrows move it, the space bar puts it down, escape leaves it where it was.",
        },
        announcements: {
          onDragStart: ({ active }) => `Row ${place(active.id)} taken up.`,
          onDragOver: ({ over }) => (over ? `At place ${place(over.id)}.` : undefined),
          onDragEnd: ({ over }) => (over ? `Put down at place ${place(over.id)}.` : "Left where it was."),
          onDragCancel: () => "Left where it was.",
        },
      }}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id))];
        if (from >= 0 && to >= 0 && from !== to) onMove(from, to);
      }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
};

const Row: RowOrder["Row"] = ({ id, name, many, children }) => {
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id,
  });
  return (
    <tr
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`${rowClass(many)} ${isDragging ? "relative z-10 bg-rule" : ""}`}
    >
      <th scope="row" className="text-left font-normal pb-1">
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${name.toLowerCase()}`}
          className="min-h-12 flex items-center text-mid figure cursor-grab touch-none"
        >
          <GripVertical aria-hidden="true" size={20} />
          {name.split(" ").at(-1)}
        </button>
      </th>
      {children}
    </tr>
  );
};
