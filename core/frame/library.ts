/** The frames that ship with the application, to try it on. */
import { NOTHING_SAID, type FrameSpec } from './frame';
import type { OutlineFamily } from './outline';
import type { Sport } from '../terms/sport';

/** A frame with the name that it goes by. */
export interface LibraryFrame {
  readonly name: string;
  readonly spec: FrameSpec;
}

interface Holes {
  readonly head: number[];
  readonly throat: number[];
  readonly tieOff: string[];
  readonly shared?: string[];
  readonly double?: string[];
  readonly ports?: string[];
  readonly positionsMm?: FrameSpec['holes']['positionsMm'];
}

/** Inside length × width, outline, mains × crosses, bridge holes, skips and tie-offs, printed range. */
function frame(
  name: string,
  sport: Sport,
  [lengthMm, widthMm, outline]: readonly [number, number, OutlineFamily],
  [mains, crosses, bridgeHoles]: readonly [number, number, number],
  holes: Holes,
  [min, max, unit]: readonly [number, number, 'kg' | 'lb'],
  stringing: Partial<FrameSpec['stringing']> = {},
): LibraryFrame {
  return {
    name,
    spec: {
      sport,
      head: { lengthMm, widthMm, outline },
      pattern: { mains, crosses },
      bridgeHoles,
      tension: { min, max, unit },
      holes: {
        head: { skip: holes.head, outermost: null },
        throat: { skip: holes.throat, outermost: null },
        shared: holes.shared ?? [],
        tieOff: holes.tieOff,
        double: holes.double ?? [],
        ports: holes.ports ?? [],
        positionsMm: holes.positionsMm ?? null,
      },
      stringing: { ...NOTHING_SAID, ...stringing },
      ownerInsists: false,
    },
  };
}

/** All invented: makers, names and figures. At least one of each odd kind. */
export const LIBRARY: readonly LibraryFrame[] = [
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
    { head: [8], throat: [8], tieOff: ['7H', '6H', '7T'] },
    [55, 65, 'lb'],
    { stepDown: { strings: 3, by: 5, unit: 'lb' } },
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
    { head: [8], throat: [7, 9, 10], tieOff: ['7H', '9H', '6T'] },
    [22, 26, 'kg'],
  ),
  frame(
    'Murrelo Lantern Open 98',
    'tennis',
    [332, 246, 'oval'],
    [16, 18, 6],
    {
      head: [7, 9],
      throat: [7, 9],
      tieOff: ['8T', '6H', '6T'],
      positionsMm: {
        head: [5.5, 17, 28.5, 40.5, 53, 66, 74.5, 80.5, 88, 95],
        side: [
          66.5, 82, 97.5, 112.5, 127.5, 142.5, 157, 171.5, 186.5, 201.5, 216.5, 232, 247.5, 263.5,
        ],
        throat: [5.5, 17, 28.5, 40.5, 53, 66, 75, 80.5, 89, 95],
      },
    },
    [21, 25, 'kg'],
    { methods: ['two-piece', 'around-the-frame'] },
  ),
  frame(
    'Murrelo Lantern Low 104',
    'tennis',
    [342, 254, 'oval'],
    [16, 19, 6],
    { head: [7, 9], throat: [7, 9], tieOff: ['6T', '8T', '5T', '8H'] },
    [21, 25, 'kg'],
    { crossesFrom: 'throat', methods: ['bottom-up'] },
  ),
  frame(
    'Quillfen Marl Port 100',
    'tennis',
    [336, 248, 'oval'],
    [16, 19, 8],
    {
      head: [7, 9],
      throat: [7, 9],
      tieOff: ['6H', '8H', '6T'],
      ports: ['11H', '12H', '13H', '14H', '15H', '16H', '1T', '2T', '3T', '4T', '7T', '9T'],
    },
    [50, 60, 'lb'],
  ),
  frame(
    'Ostrevan Heron Twin 97',
    'tennis',
    [328, 242, 'oval'],
    [16, 19, 8],
    {
      head: [7, 9],
      throat: [7, 9],
      tieOff: ['6H', '8H', '6T'],
      double: ['2H', '3H', '4H', '5H'],
    },
    [23, 28, 'kg'],
  ),
  frame(
    'Tarnhelve Breaker 96',
    'tennis',
    [328, 240, 'squared oval'],
    [16, 20, 8],
    { head: [7], throat: [7, 9], tieOff: ['6H', '8H', '6T'], shared: ['9H'] },
    [22, 27, 'kg'],
  ),
  frame(
    'Wexquay Wisp 4',
    'badminton',
    [240, 186, 'squared oval'],
    [22, 21, 8],
    { head: [10, 12], throat: [10, 12], tieOff: ['9H', '8T', '11T'] },
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
    'Wexquay Thimble',
    'badminton',
    [236, 184, 'squared oval'],
    [22, 22, 8],
    { head: [10, 12, 13], throat: [10, 12, 13], tieOff: ['9H', '11H', '9T', '11T'] },
    [24, 32, 'lb'],
    { reversedOuterMains: true },
  ),
  frame(
    'Tarnhelve Plover',
    'badminton',
    [238, 180, 'oval'],
    [20, 21, 8],
    { head: [9, 11], throat: [9, 11], tieOff: ['8H', '10H', '8T'], shared: [] },
    [20, 27, 'lb'],
  ),
  frame(
    'Bryndal Cinder 120',
    'squash',
    [345, 185, 'teardrop'],
    [14, 18, 6],
    { head: [7], throat: [], tieOff: ['6H', '5H', '5T', '6T'] },
    [24, 30, 'lb'],
  ),
  frame(
    'Bryndal Cinder 135',
    'squash',
    [335, 178, 'teardrop'],
    [12, 18, 6],
    { head: [6], throat: [], tieOff: ['5H', '4H', '5T', '4T'] },
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
  frame(
    'Bryndal Cinder Narrow',
    'squash',
    [340, 172, 'teardrop'],
    [12, 17, 6],
    { head: [6], throat: [], tieOff: ['5H', '4H', '4T', '5T'] },
    [22, 28, 'lb'],
  ),
  frame(
    'Wexquay Anvil',
    'squash',
    [304, 186, 'oval'],
    [14, 18, 8],
    { head: [7], throat: [7], tieOff: ['6H', '5H', '6T', '8T'] },
    [24, 30, 'lb'],
  ),
];
