/** A square code that a phone reads, as one path of unit squares (ISO/IEC 18004, level M). */
import QRCode from 'qrcode';

export interface QrPath {
  /** Modules along one side, the quiet zone of four on each side with them. */
  readonly size: number;
  readonly d: string;
}

const QUIET = 4;

export function qrPath(text: string): QrPath {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  let d = '';
  for (let y = 0; y < modules.size; y++)
    for (let x = 0; x < modules.size; x++)
      if (modules.get(y, x)) d += `M${x + QUIET} ${y + QUIET}h1v1h-1z`;
  return { size: modules.size + 2 * QUIET, d };
}
