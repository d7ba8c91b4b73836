/** What the system refuses a command, as a sentence that says what to do. */
interface SystemError {
  readonly code?: unknown;
  readonly path?: unknown;
  readonly syscall?: unknown;
}

/** Debian's packages of the programs that commands call. */
const PACKAGES: Readonly<Record<string, string>> = {
  flock: 'util-linux',
  tar: 'tar',
  id: 'coreutils',
};

/** The sentence for an error of the system; undefined for any other. */
export function sentenceFor(error: unknown): string | undefined {
  if (!(error instanceof Error)) return undefined;
  const { code, path, syscall } = error as SystemError;
  const where = typeof path === 'string' ? path : 'what it needs';
  if (code === 'ENOSPC' || code === 'EDQUOT')
    return `The disk is full, so ${where} could not be written. What was kept before is as it was: make room, and run the command again.`;
  if (code === 'EROFS')
    return `${where} is on a disk that may only be read. Mount it for writing, or name another house in ORTHOTENS_HOUSE, and run the command again.`;
  if (code === 'EACCES' || code === 'EPERM')
    return `You may not write ${where}. Run the command as the user whose house it is, or name another house in ORTHOTENS_HOUSE.`;
  if (code === 'ENOENT' && typeof syscall === 'string' && syscall.startsWith('spawn ')) {
    const program = syscall.slice('spawn '.length);
    const name = PACKAGES[program];
    return `${program} is not on this machine.${name ? ` Install it with: apt-get install ${name}` : ''}`;
  }
  return undefined;
}
