import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';

interface Props {
  label: string;
  /** Which way it moves: an upright edge sideways, a level one up and down. */
  upright: boolean;
  value: number;
  least: number;
  most: number;
  onChange: (value: number) => void;
  className?: string;
}

/** How far an arrow moves it, px. */
const STEP = 24;

/** The edge of a part of the bench, pulled by hand or moved by the arrows: pulling to the left or up makes the part larger. */
export function Edge({ label, upright, value, least, most, onChange, className = '' }: Props): ReactNode {
  const from = useRef<{ at: number; value: number } | null>(null);
  const bounded = (to: number): number => Math.min(most, Math.max(least, to));
  const at = (e: PointerEvent): number => (upright ? e.clientX : e.clientY);
  const onKey = (e: KeyboardEvent): void => {
    const larger = upright ? 'ArrowLeft' : 'ArrowUp';
    const smaller = upright ? 'ArrowRight' : 'ArrowDown';
    if (e.key !== larger && e.key !== smaller) return;
    e.preventDefault();
    e.stopPropagation();
    onChange(bounded(value + (e.key === larger ? STEP : -STEP)));
  };
  return (
    <div
      role="separator"
      tabIndex={0}
      aria-label={label}
      aria-orientation={upright ? 'vertical' : 'horizontal'}
      aria-valuenow={Math.round(value)}
      aria-valuemin={least}
      aria-valuemax={most}
      className={`no-print group relative z-10 flex touch-none after:absolute items-center justify-center ${upright ? 'w-2 cursor-col-resize after:-inset-x-2 after:inset-y-0' : 'h-2 cursor-row-resize after:inset-x-0 after:-inset-y-2'} ${className}`}
      onKeyDown={onKey}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        from.current = { at: at(e), value };
      }}
      onPointerMove={(e) => {
        if (from.current) onChange(bounded(from.current.value + from.current.at - at(e)));
      }}
      onPointerUp={() => {
        from.current = null;
      }}
    >
      <span
        aria-hidden="true"
        className={`bg-rule group-hover:bg-chalk ${upright ? 'h-11 w-[5px]' : 'h-[5px] w-12'}`}
      />
    </div>
  );
}
