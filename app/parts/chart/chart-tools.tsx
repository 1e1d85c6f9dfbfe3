import { useState } from 'react';
import { MAP_LAYERS, type MapLayer } from './map-layer-names';
import type { Zoom } from './use-zoom';

interface Props {
  own: readonly string[];
  hidden: ReadonlySet<string>;
  onHide: (layer: string) => void;
  mapOn: ReadonlySet<MapLayer>;
  onMap: (layer: MapLayer) => void;
  /** When the map's own layers are offered. */
  listed: 'at once' | 'when asked' | 'never';
  mirrored: boolean;
  onMirror: () => void;
  zoom: Zoom | null;
}

/** Layers as words, the mirror switch, and how near the chart is. */
export function ChartTools({ own, hidden, onHide, mapOn, onMap, listed, mirrored, onMirror, zoom }: Props) {
  const [asked, setAsked] = useState(false);
  const mapped = listed === 'at once' || asked;
  return (
    <>
      <div className="chart-layers" role="group" aria-label="Layers">
        {own.map((layer) => (
          <button key={layer} type="button" aria-pressed={!hidden.has(layer)} onClick={() => onHide(layer)}>
            {layer}
          </button>
        ))}
        {!mapped && listed === 'when asked' && (
          <button type="button" className="plain" onClick={() => setAsked(true)}>
            Map …
          </button>
        )}
        <button
          type="button"
          aria-pressed={mirrored}
          onClick={onMirror}
          title="Flip the chart for work in front of a mirror"
          className="mirror"
        >
          Mirror{mirrored ? ' on' : ''}
        </button>
      </div>
      {mapped && (
        <div className="chart-layers is-left" role="group" aria-label="Layers of the map">
          {MAP_LAYERS.map((layer) => (
            <button
              key={layer}
              type="button"
              className="is-map"
              aria-pressed={mapOn.has(layer)}
              onClick={() => onMap(layer)}
            >
              {layer}
            </button>
          ))}
        </div>
      )}
      {zoom && (
        <span
          className="chart-zoom"
          role="group"
          aria-label="How near"
          onKeyDown={(e) => {
            const step = (
              { ArrowLeft: [0.2, 0], ArrowRight: [-0.2, 0], ArrowUp: [0, 0.2], ArrowDown: [0, -0.2] } as Record<
                string,
                [number, number]
              >
            )[e.key];
            if (!step) return;
            zoom.pan(...step);
            e.preventDefault();
          }}
        >
          <button type="button" onClick={zoom.nearer} aria-label="Nearer" title="Nearer; arrows move the chart">
            +
          </button>
          <button type="button" onClick={zoom.farther} aria-label="Farther" disabled={zoom.drawn.k <= 1}>
            −
          </button>
          {zoom.drawn.k > 1 && (
            <button type="button" onClick={zoom.whole}>
              Whole
            </button>
          )}
        </span>
      )}
    </>
  );
}
