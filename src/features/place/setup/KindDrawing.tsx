import type { ToldKindName } from "@/core/place/told/kinds";

const W = 84;
const H = 40;

/** A small drawing of a kind of stand, to be picked. */
export function KindDrawing({ kind }: { readonly kind: ToldKindName }) {
  return (
    <svg width={(W * 6) / 7} height={(H * 6) / 7} viewBox={`0 0 ${W} ${H}`} aria-hidden className="mx-auto block">
      <g fill="none" className="stroke-ink" strokeWidth={1.5}>
        {DRAWINGS[kind]}
      </g>
    </svg>
  );
}

const times = (count: number, draw: (index: number) => React.ReactNode) =>
  Array.from({ length: count }, (_, index) => <g key={index}>{draw(index)}</g>);
const plant = (x: number, y: number, r = 2.4) => <circle cx={x} cy={y} r={r} className="fill-leaf stroke-none" />;
const water = "fill-water-pale stroke-water";

const bedWith = (inside: React.ReactNode) => (
  <>
    <rect x={6} y={6} width={72} height={28} />
    {inside}
  </>
);

const DRAWINGS: Readonly<Record<ToldKindName, React.ReactNode>> = {
  channels: times(3, (row) => (
    <>
      <path d={`M4 ${8 + row * 12}L80 ${5 + row * 12}v5L4 ${13 + row * 12}z`} />
      {times(6, (at) => plant(12 + at * 12, 8 + row * 12))}
    </>
  )),
  pipes: times(2, (row) => (
    <>
      <rect x={4} y={6 + row * 17} width={76} height={11} rx={5.5} />
      {times(5, (at) => (
        <circle cx={14 + at * 14} cy={11.5 + row * 17} r={3.4} />
      ))}
    </>
  )),
  buckets: times(3, (at) => (
    <>
      <path d={`M${8 + at * 26} 14h20l-3 22h-14z`} />
      <path d={`M${18 + at * 26} 14v-6`} className="stroke-leaf" />
      {plant(18 + at * 26, 7, 3.6)}
    </>
  )),
  beds: bedWith(times(3, (row) => times(7, (at) => plant(13 + at * 10 - (row % 2) * 3, 12 + row * 8)))),
  rafts: (
    <>
      <rect x={5} y={5} width={74} height={30} className={water} />
      <rect x={10} y={10} width={30} height={20} className="fill-sheet" />
      <rect x={44} y={10} width={30} height={20} className="fill-sheet" />
      {times(2, (raft) => times(3, (at) => plant(17 + raft * 34 + at * 8, 20)))}
    </>
  ),
  towers: times(3, (at) => (
    <>
      <rect x={14 + at * 24} y={3} width={7} height={34} className="fill-ink" />
      {times(4, (tier) => plant(11 + at * 24 + (tier % 2) * 13, 8 + tier * 8, 3))}
    </>
  )),
  seedTrays: (
    <>
      <path d="M8 3v35M76 3v35M8 16h68M8 33h68" />
      {times(2, (shelf) =>
        times(3, (tray) => (
          <path d={`M${13 + tray * 21} ${15 + shelf * 17}v-6h17v6zM${21.5 + tray * 21} ${15 + shelf * 17}v-6`} />
        )),
      )}
    </>
  ),
  shootTrays: (
    <>
      <path d="M8 3v35M76 3v35M8 16h68M8 34h68" />
      {times(2, (shelf) =>
        times(2, (tray) => (
          <>
            <path d={`M${14 + tray * 30} ${15 + shelf * 18}h26`} strokeWidth={3} />
            <path
              d={`M${16 + tray * 30} ${13 + shelf * 18}v-6m4 6v-7m4 7v-6m4 6v-7m4 7v-6m4 6v-7`}
              className="stroke-leaf"
            />
          </>
        )),
      )}
    </>
  ),
  floodBenches: (
    <>
      <path d="M8 14v8h68v-8M16 22v14M68 22v14" />
      <rect x={9.5} y={17} width={65} height={4} className={`${water} stroke-none`} />
      {times(5, (at) => (
        <path d={`M${16 + at * 12} 20v-9h7v9`} />
      ))}
    </>
  ),
  mediaBeds: (
    <>
      <path d="M6 10v24h72V10" />
      {times(3, (row) => times(9, (at) => <circle cx={12 + at * 8 - (row % 2) * 3} cy={17 + row * 6} r={2.6} />))}
      {times(4, (at) => plant(16 + at * 17, 9, 3))}
    </>
  ),
  wickingBeds: (
    <>
      <path d="M6 8v28h72V8" />
      <rect x={7} y={26} width={70} height={9} className={water} />
      {times(5, (at) => plant(15 + at * 13, 13, 3))}
    </>
  ),
};
