import { describe, expect, it } from 'vitest';
import { takenByKey } from './taken-by-key';

const named = (...names: readonly string[]) =>
  names.map((text, i) => ({ id: String(i), text, detail: `555 0${i}` }));

describe('what a key takes of what was found', () => {
  it('takes what is exact, whatever its case, accents and spaces', () => {
    const options = named('Ana Lusk', 'Anna Lusk');
    for (const typed of ['Ana Lusk', ' ana  lusk ', 'ÁNA LUSK'])
      expect(takenByKey(typed, options)).toEqual({ is: 'exact', option: options[0] });
    expect(takenByKey('Žofia', named('Zofia'))).toMatchObject({ is: 'exact' });
  });

  it('of a name one letter off it takes nobody', () => {
    expect(takenByKey('Ana Lusc', named('Ana Lusk', 'Anna Lusk'))).toMatchObject({ is: 'near' });
    expect(takenByKey('Barlow', named('Marlow'))).toMatchObject({ is: 'near' });
  });

  it('tells the only one from several, twins among them', () => {
    const options = named('Ana Lusk', 'Anna Lusk');
    expect(takenByKey('anna', options)).toEqual({ is: 'only', option: options[1] });
    expect(takenByKey('lusk', options)).toEqual({ is: 'several' });
    expect(takenByKey('555 01', options)).toEqual({ is: 'only', option: options[1] });
    expect(takenByKey('Ana Lusk', named('Ana Lusk', 'Ana Lusk'))).toEqual({ is: 'several' });
  });

  it('nobody found is somebody new, and nothing typed is nothing', () => {
    expect(takenByKey('Wenna', [])).toEqual({ is: 'new' });
    expect(takenByKey('  ', named('Ana'))).toEqual({ is: 'nothing' });
  });
});
