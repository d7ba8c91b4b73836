import type { FrameSpec } from '@/core/frame';
import type { OutlineFamily } from '@/core/outline';
import type { Sport } from '@/core/sport';

interface Invented {
  readonly name: string;
  readonly spec: FrameSpec;
}

/** Inside length × width, outline, mains × crosses, bridge holes, skips and tie-offs, printed range. */
function frame(
  name: string,
  sport: Sport,
  [lengthMm, widthMm, outline]: readonly [number, number, OutlineFamily],
  [mains, crosses, bridgeHoles]: readonly [number, number, number],
  holes: {
    readonly head: number[];
    readonly throat: number[];
    readonly tieOff: string[];
    readonly shared?: string[];
  },
  [min, max, unit]: readonly [number, number, 'kg' | 'lb'],
): Invented {
  return {
    name,
    spec: {
      sport,
      head: { lengthMm, widthMm, outline },
      pattern: { mains, crosses },
      bridgeHoles,
      tension: { min, max, unit },
      holes: {
        head: { skip: holes.head },
        throat: { skip: holes.throat },
        shared: holes.shared ?? [],
        tieOff: holes.tieOff,
        positionsMm: null,
      },
      ownerInsists: false,
    },
  };
}

/** All invented: makers, names and figures. */
export const DEMO_FRAMES: readonly Invented[] = [
  frame(
    'Ostrevan Heron 100',
    'tennis',
    [336, 248, 'oval'],
    [16, 19, 8],
    { head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] },
    [22, 26, 'kg'],
  ),
  frame(
    'Ostrevan Heron Tour 98',
    'tennis',
    [332, 244, 'oval'],
    [16, 19, 8],
    { head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] },
    [22, 27, 'kg'],
  ),
  frame(
    'Ostrevan Heron Tour 18',
    'tennis',
    [332, 244, 'oval'],
    [18, 20, 8],
    { head: [8, 10], throat: [8, 10], tieOff: ['7H', '7T', '9T'] },
    [22, 27, 'kg'],
  ),
  frame(
    'Quillfen Marl 102',
    'tennis',
    [340, 250, 'squared oval'],
    [16, 19, 8],
    { head: [8], throat: [8], tieOff: ['7H', '6H', '7T'] },
    [50, 60, 'lb'],
  ),
  frame(
    'Quillfen Marl Light 105',
    'tennis',
    [344, 256, 'egg'],
    [16, 18, 8],
    { head: [8], throat: [7, 9, 10], tieOff: ['7H', '9H', '8T'] },
    [48, 58, 'lb'],
  ),
  frame(
    'Quillfen Spindrift 95',
    'tennis',
    [326, 238, 'oval'],
    [18, 20, 6],
    { head: [8, 10], throat: [8, 10], tieOff: ['7H', '9H', '7T'] },
    [23, 28, 'kg'],
  ),
  frame(
    'Tarnhelve Groyne 100',
    'tennis',
    [336, 246, 'oval'],
    [18, 16, 8],
    { head: [8, 10], throat: [8, 10], tieOff: ['7H', '7T', '9T'] },
    [50, 60, 'lb'],
  ),
  frame(
    'Tarnhelve Groyne Wide 115',
    'tennis',
    [358, 266, 'squared oval'],
    [16, 20, 8],
    { head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] },
    [55, 65, 'lb'],
  ),
  frame(
    'Tarnhelve Sprat 25',
    'tennis',
    [318, 234, 'oval'],
    [16, 17, 6],
    { head: [7, 9], throat: [7, 9], tieOff: ['6H', '6T', '8T'] },
    [18, 22, 'kg'],
  ),
  frame(
    'Murrelo Lantern 99',
    'tennis',
    [334, 246, 'egg'],
    [16, 19, 8],
    { head: [8], throat: [7, 8, 10], tieOff: ['7H', '9H', '6T'] },
    [22, 26, 'kg'],
  ),
  frame(
    'Wexquay Wisp 4',
    'badminton',
    [240, 186, 'squared oval'],
    [22, 21, 8],
    { head: [10, 12, 13], throat: [10, 12, 13], tieOff: ['9H', '8T', '11T'] },
    [20, 28, 'lb'],
  ),
  frame(
    'Wexquay Wisp 7',
    'badminton',
    [238, 184, 'squared oval'],
    [22, 22, 8],
    { head: [10, 12], throat: [10, 12], tieOff: ['9H', '8T', '11T'] },
    [22, 30, 'lb'],
  ),
  frame(
    'Wexquay Ember',
    'badminton',
    [242, 182, 'oval'],
    [22, 21, 6],
    { head: [9, 11, 13], throat: [9, 11, 13], tieOff: ['8H', '10H', '8T'] },
    [20, 26, 'lb'],
  ),
  frame(
    'Bryndal Cinder 120',
    'squash',
    [345, 185, 'teardrop'],
    [14, 18, 6],
    { head: [7], throat: [], tieOff: ['6H', '5T', '6T'] },
    [24, 30, 'lb'],
  ),
  frame(
    'Bryndal Cinder 135',
    'squash',
    [335, 178, 'teardrop'],
    [12, 18, 6],
    { head: [6], throat: [], tieOff: ['5H', '4H', '5T'] },
    [22, 28, 'lb'],
  ),
  frame(
    'Bryndal Flue',
    'squash',
    [300, 182, 'egg'],
    [16, 17, 8],
    { head: [8], throat: [7, 9], tieOff: ['7H', '9H', '8T'] },
    [24, 30, 'lb'],
  ),
];
