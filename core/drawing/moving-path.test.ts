import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { movingPath, pathText, textAt } from './index.ts';

const at = Float32Array.from([0, 0, 10, 0, 15, 5, 20, 10, 30, 10]);
const COMMANDS = 'MLQL';
/** The same with its last place so much lower. */
const lowered = (by: number) => Float32Array.from([...at.slice(0, 9), 10 + by]);

describe('a path that moves in part', () => {
  test('an area is written whole, the places that stay as they were', () => {
    const { still, moving } = movingPath({ commands: `${COMMANDS}Z`, at }, [null, lowered(4)], false);
    expect(still).toBe('');
    expect(textAt(moving!, 1, 0)).toBe(pathText(`${COMMANDS}Z`, at));
    expect(textAt(moving!, 1, 0.5)).toBe('M0 0L10 0Q15 5 20 10L30 12Z');
    // The other way it stays.
    expect(textAt(moving!, 0, 1)).toBe(pathText(`${COMMANDS}Z`, at));
    // Only what moves is worked out.
    expect(moving!.coordinates).toHaveLength(2);
  });
  test('a stroke is cut where it begins to move', () => {
    const { still, moving } = movingPath({ commands: COMMANDS, at }, [null, lowered(4)], true);
    expect(still).toBe('M0 0L10 0Q15 5 20 10');
    expect(textAt(moving!, 1, 1)).toBe('M20 10L30 14');
  });
  test('a closed stroke that is cut keeps its last side', () => {
    const { still, moving } = movingPath({ commands: `${COMMANDS}Z`, at }, [null, lowered(4)], true);
    expect(still).toBe('M0 0L10 0Q15 5 20 10');
    expect(textAt(moving!, 1, 1)).toBe('M20 10L30 14L0 0');
  });
  test('where nothing moves it is the path as it was', () =>
    expect(movingPath({ commands: COMMANDS, at }, [at, null], true)).toEqual({
      still: pathText(COMMANDS, at),
      moving: null,
    }));
  test('each piece of a path begins where it begins', () => {
    const apart = Float32Array.from([0, 0, 10, 0, 20, 0, 30, 0]);
    const lower = Float32Array.from([0, 0, 10, 0, 20, 0, 30, 6]);
    expect(movingPath({ commands: 'MLML', at: apart }, [apart, null], true).still).toBe('M0 0L10 0M20 0L30 0');
    const { still, moving } = movingPath({ commands: 'MLML', at: apart }, [null, lower], true);
    expect([still, textAt(moving!, 1, 1)]).toEqual(['M0 0L10 0', 'M20 0L30 6']);
  });
  test('whatever moves, both pieces together are every line of the path, once', () =>
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 5, maxLength: 5 }), (which) => {
        const end = at.map((v, c) => (which[c >> 1] ? v + 3 : v));
        const { still, moving } = movingPath({ commands: COMMANDS, at }, [end, null], true);
        const drawn = `${still}${moving ? textAt(moving, 0, 0) : ''}`;
        const lines = (text: string) => text.match(/[LQ]/g)?.length ?? 0;
        expect(lines(drawn)).toBe(3);
        for (const part of ['L10 0', 'Q15 5 20 10', 'L30 10']) expect(drawn).toContain(part);
      }),
    ));
});
