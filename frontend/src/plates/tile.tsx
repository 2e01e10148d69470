import { memo } from "react";
import { Glyph } from "./glyphs";
import { Scene } from "./scene";
import { stateMarks } from "./states";

/** A state, as it looks on a tile, on a plate and on paper. */
export const Tile = memo(function Tile({
  character,
  state,
  drawing,
  size = 64,
  className = "",
}: {
  character: string;
  state: string;
  drawing: string;
  size?: number;
  className?: string;
}) {
  const marks = stateMarks(character, state);
  if (!marks) return <Glyph name={drawing} size={size} className={className} />;
  return (
    <svg viewBox="0 0 64 64" width={size} height={size} className={className} aria-hidden="true" focusable="false">
      <Scene marks={marks} wide={64} high={64} rule={false} ink={0.85} />
    </svg>
  );
});
