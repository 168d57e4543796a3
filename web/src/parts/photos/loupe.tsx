import { CheckLine } from '../../controls/fields/check-line.js';
import { Hint } from '../../controls/hint.js';
import type { PhotoBox } from '@which-way/core/log';
import type { PhotoId } from '@which-way/core/switch';
import { Contrast, Minus, Plus, Scan, SquareDashedMousePointer, Sun } from 'lucide-react';
import { useId, useRef, useState, type PointerEvent, type ReactNode } from 'react';
import { TransformComponent, TransformWrapper } from 'react-zoom-pan-pinch';
import { PlainButton } from '../../controls/plain-button.js';
import { photoUrl } from './photo-url.js';
import { LOUPE_TEXT } from '@which-way/words/screens/parts/photos/loupe';

/** How far markings are enlarged: they are microscopic. */
const MOST_ZOOM = 12;
/** A drag shorter than this share of the photo is a slip, not a box. */
const LEAST_BOX = 0.004;

export interface LoupeBox {
  key: string;
  box: PhotoBox;
  label: string;
  onPick: () => void;
}

interface LoupeProps {
  photo: PhotoId;
  caption: string;
  boxes: readonly LoupeBox[];
  /** A box was drawn. */
  onBox: (box: PhotoBox) => void;
}

/** A photo under a loupe: to 12 times, brighter, harder, inverted, sharpened; boxes are drawn on it. */
export function Loupe({ photo, caption, boxes, onBox }: LoupeProps) {
  const [brightness, setBrightness] = useState(100);
  const [contrast, setContrast] = useState(100);
  const [inverted, setInverted] = useState(false);
  const [sharp, setSharp] = useState(false);
  const [drawing, setDrawing] = useState(false);
  const [zoom, setZoom] = useState(1);
  const filterId = `sharpen${useId().replace(/[^a-z0-9]/gi, '')}`;
  const filter = [
    `brightness(${brightness}%)`,
    `contrast(${contrast}%)`,
    inverted ? 'invert(1)' : '',
    sharp ? `url(#${filterId})` : '',
  ].join(' ');
  return (
    <section aria-label={LOUPE_TEXT.loupe} className="grid gap-2">
      <svg width="0" height="0" className="absolute" aria-hidden="true">
        <filter id={filterId}>
          <feConvolveMatrix order="3" kernelMatrix="-1 -1 -1 -1 9 -1 -1 -1 -1" preserveAlpha="true" />
        </filter>
      </svg>
      <TransformWrapper
        minScale={1}
        maxScale={MOST_ZOOM}
        panning={{ disabled: drawing }}
        pinch={{ disabled: drawing }}
        doubleClick={{ disabled: drawing }}
        onTransform={(_, { scale }) => setZoom(scale)}
      >
        {({ zoomIn, zoomOut, resetTransform }) => (
          <>
            <div className="flex flex-wrap items-center gap-2">
              <Tool label={LOUPE_TEXT.smaller} onClick={() => zoomOut(zoom / 2, 0)}>
                <Minus aria-hidden="true" />
              </Tool>
              <output className="w-16 text-center font-mono font-bold" aria-label={LOUPE_TEXT.enlarged}>
                {zoom.toFixed(zoom < 10 ? 1 : 0)}×
              </output>
              <Tool label={LOUPE_TEXT.larger} onClick={() => zoomIn(zoom, 0)}>
                <Plus aria-hidden="true" />
              </Tool>
              <Tool label={LOUPE_TEXT.theWholePhoto} onClick={() => resetTransform(0)}>
                <Scan aria-hidden="true" />
              </Tool>
              <PlainButton
                aria-pressed={drawing}
                look={drawing ? 'strong' : 'plain'}
                onClick={() => setDrawing(!drawing)}
              >
                <SquareDashedMousePointer size={20} className="mr-2 inline" aria-hidden="true" />
                {drawing ? LOUPE_TEXT.dragOverAMarking : LOUPE_TEXT.boxAMarking}
              </PlainButton>
            </div>
            <div className="h-[min(52dvh,34rem)] overflow-hidden rounded-part border-2 border-line bg-lead-black">
              <TransformComponent
                wrapperStyle={{ width: '100%', height: '100%' }}
                contentStyle={{ width: '100%', height: '100%' }}
              >
                <Sheet
                  {...{ photo, caption, boxes, drawing, filter, zoom }}
                  onBox={(box) => {
                    setDrawing(false);
                    onBox(box);
                  }}
                />
              </TransformComponent>
            </div>
          </>
        )}
      </TransformWrapper>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <Slider
          label={LOUPE_TEXT.brightness}
          value={brightness}
          onChange={setBrightness}
          icon={<Sun size={20} aria-hidden="true" />}
        />
        <Slider
          label={LOUPE_TEXT.contrast}
          value={contrast}
          onChange={setContrast}
          icon={<Contrast size={20} aria-hidden="true" />}
        />
        <CheckLine tight checked={inverted} onChange={setInverted}>
          {LOUPE_TEXT.invert}
        </CheckLine>
        <CheckLine tight checked={sharp} onChange={setSharp}>
          {LOUPE_TEXT.sharpen}
        </CheckLine>
      </div>
    </section>
  );
}

function Tool({ label, onClick, children }: { label: string; onClick: () => void; children: ReactNode }) {
  return (
    <Hint text={label}>
      <PlainButton aria-label={label} className="!px-2.5" onClick={onClick}>
        {children}
      </PlainButton>
    </Hint>
  );
}

interface SliderProps {
  label: string;
  value: number;
  onChange: (value: number) => void;
  icon: ReactNode;
}

function Slider({ label, value, onChange, icon }: SliderProps) {
  return (
    <label className="flex min-h-12 items-center gap-2">
      {icon}
      <span className="sr-only">{label}</span>
      <input
        type="range"
        min={30}
        max={300}
        step={5}
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
        className="w-32 accent-(--teal)"
      />
    </label>
  );
}

interface SheetProps extends LoupeProps {
  drawing: boolean;
  filter: string;
  zoom: number;
}

interface Corner {
  x: number;
  y: number;
}

function Sheet({ photo, caption, boxes, onBox, drawing, filter, zoom }: SheetProps) {
  const frame = useRef<HTMLDivElement>(null);
  const [missing, setMissing] = useState(false);
  const [drag, setDrag] = useState<{ from: Corner; to: Corner } | null>(null);
  const cornerOf = (event: PointerEvent): Corner => {
    const { left, top, width, height } = frame.current?.getBoundingClientRect() ?? {
      left: 0,
      top: 0,
      width: 1,
      height: 1,
    };
    const share = (value: number) => Math.min(1, Math.max(0, value));
    return { x: share((event.clientX - left) / width), y: share((event.clientY - top) / height) };
  };
  const finish = () => {
    if (drag) {
      const box = boxOf(drag);
      if (box.width > LEAST_BOX && box.height > LEAST_BOX) onBox({ photo, ...box });
    }
    setDrag(null);
  };
  if (missing) {
    return (
      <p className="flex h-full w-full items-center justify-center p-6 text-center text-on-lead">
        {LOUPE_TEXT.thisPhotoIsNotOn}
      </p>
    );
  }
  return (
    <div className="flex h-full w-full items-center justify-center">
      <div
        ref={frame}
        className={`relative h-fit max-h-full ${drawing ? 'cursor-crosshair touch-none' : 'cursor-grab'}`}
        onPointerDown={(event) => {
          if (!drawing) return;
          event.currentTarget.setPointerCapture(event.pointerId);
          const corner = cornerOf(event);
          setDrag({ from: corner, to: corner });
        }}
        onPointerMove={(event) => setDrag((now) => (now ? { ...now, to: cornerOf(event) } : null))}
        onPointerUp={finish}
        onPointerCancel={() => setDrag(null)}
      >
        <img
          src={photoUrl(photo)}
          alt={caption}
          draggable={false}
          onError={() => setMissing(true)}
          style={{ filter }}
          className="block max-h-[min(52dvh,34rem)] max-w-full select-none"
        />
        {boxes.map(({ key, box, label, onPick }) => (
          <button
            key={key}
            type="button"
            aria-label={label}
            onClick={onPick}
            disabled={drawing}
            className="absolute border-brass-bright"
            style={{ ...percent(box), borderWidth: 3 / zoom }}
          />
        ))}
        {drag && (
          <span
            className="absolute border-brass-bright"
            style={{ ...percent(boxOf(drag)), borderWidth: 3 / zoom, borderStyle: 'dashed' }}
          />
        )}
      </div>
    </div>
  );
}

function boxOf({ from, to }: { from: Corner; to: Corner }): Omit<PhotoBox, 'photo'> {
  return {
    x: Math.min(from.x, to.x),
    y: Math.min(from.y, to.y),
    width: Math.abs(from.x - to.x),
    height: Math.abs(from.y - to.y),
  };
}

const percent = ({ x, y, width, height }: Omit<PhotoBox, 'photo'>) => ({
  left: `${x * 100}%`,
  top: `${y * 100}%`,
  width: `${width * 100}%`,
  height: `${height * 100}%`,
});
