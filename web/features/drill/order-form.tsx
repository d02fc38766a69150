import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { arrayMove, horizontalListSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useTranslation } from 'react-i18next';
import { HairPicture, type PictureSource } from '../../ui/hair-picture';
import '../../lib/words/reading';

function Lock({
  name,
  hair,
  size,
  place,
  count,
  closed,
  onMove,
}: {
  name: string;
  hair: PictureSource;
  size: { width: number; height: number };
  place: number;
  count: number;
  closed: boolean;
  onMove: (by: number) => void;
}) {
  const { t } = useTranslation();
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: name,
    disabled: closed,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={isDragging ? 'z-10' : ''}
    >
      <button
        type="button"
        {...listeners}
        disabled={closed}
        aria-label={t('reading.orderLock', { name, place: place + 1, count })}
        onKeyDown={(event) => {
          const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          onMove(document.documentElement.dir === 'rtl' ? -by : by);
        }}
        className="text-on-surround flex touch-none flex-col items-center rounded-sm px-1 pb-1 focus-visible:bg-white/20"
      >
        <HairPicture hair={hair} {...size} label="" />
        <span className="font-display text-lg font-semibold">{name}</span>
      </button>
    </li>
  );
}

/** Locks in a row to be put in order: dragged, or moved with the arrow keys while one has the focus. */
export function OrderForm({
  hairs,
  names,
  order,
  onChange,
  size,
  from,
  to,
  closed,
}: {
  hairs: readonly PictureSource[];
  names: readonly string[];
  order: readonly number[];
  onChange: (order: number[]) => void;
  size: { width: number; height: number };
  from: string;
  to: string;
  closed: boolean;
}) {
  const { t } = useTranslation();
  // A short way before a drag begins, so that a tap only gives the focus.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const move = (from: number, to: number) => {
    if (to >= 0 && to < order.length) onChange(arrayMove([...order], from, to));
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    const placeOf = (id: unknown) => order.findIndex((which) => names[which] === id);
    if (over && active.id !== over.id) move(placeOf(active.id), placeOf(over.id));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={order.map((which) => names[which])} strategy={horizontalListSortingStrategy}>
        <ol className="flex justify-center gap-1" aria-label={t('reading.orderList', { from, to })}>
          {order.map((which, place) => (
            <Lock
              key={names[which]}
              name={names[which]}
              hair={hairs[which]}
              size={size}
              place={place}
              count={order.length}
              closed={closed}
              onMove={(by) => move(place, place + by)}
            />
          ))}
        </ol>
      </SortableContext>
      <p className="text-on-surround flex justify-between px-3 pb-1 text-sm font-semibold">
        <span>{from}</span>
        <span>{to}</span>
      </p>
    </DndContext>
  );
}
