/** A language as far as choosing faces for it needs to know. */
export interface Language {
  readonly name: string;
  /** Its letters, lower case. */
  readonly letters: string;
}

/**
 * The languages that a system can be made for.
 * Source of the letters: Unicode CLDR 48.2, main exemplar characters.
 */
export const LANGUAGES = {
  en: { name: 'English', letters: 'abcdefghijklmnopqrstuvwxyz' },
  de: { name: 'German', letters: 'aäbcdefghijklmnoöpqrsßtuüvwxyz' },
  fr: { name: 'French', letters: 'aàâæbcçdeéèêëfghiîïjklmnoôœpqrstuùûüvwxyÿz' },
  es: { name: 'Spanish', letters: 'aábcdeéfghiíjklmnñoópqrstuúüvwxyz' },
  pt: { name: 'Portuguese', letters: 'aáàâãbcçdeéêfghiíjklmnoóòôõpqrstuúvwxyz' },
  pl: { name: 'Polish', letters: 'aąbcćdeęfghijklłmnńoóprsśtuwyzźż' },
  no: { name: 'Norwegian', letters: 'aàbcdeéfghijklmnoóòôpqrstuvwxyzæøå' },
  it: { name: 'Italian', letters: 'aàbcdeéèfghiìjklmnoòpqrstuùvwxyz' },
  nl: { name: 'Dutch', letters: 'aáäbcdeéëfghiíïjklmnoóöpqrstuúüvwxyz' },
  sv: { name: 'Swedish', letters: 'aàbcdeéfghijklmnopqrstuvwxyzåäö' },
  da: { name: 'Danish', letters: 'abcdefghijklmnopqrstuvwxyzæøå' },
  fi: { name: 'Finnish', letters: 'abcdefghijklmnopqrsštuvwxyzžåäö' },
  cs: { name: 'Czech', letters: 'aábcčdďeéěfghiíjklmnňoópqrřsštťuúůvwxyýzž' },
  hu: { name: 'Hungarian', letters: 'aábcsdzeéfgyhiíjklmnoóöőprtuúüűv' },
  ro: { name: 'Romanian', letters: 'aăâbcdefghiîjklmnopqrsștțuvwxyz' },
  tr: { name: 'Turkish', letters: 'abcçdefgğhıiİjklmnoöprsştuüvyz' },
  ru: { name: 'Russian', letters: 'абвгдеёжзийклмнопрстуфхцчшщъыьэюя' },
  uk: { name: 'Ukrainian', letters: 'абвгґдеєжзиіїйклмнопрстуфхцчшщьюяʼ' },
  el: { name: 'Greek', letters: 'αάβγδεέζηήθιίϊΐκλμνξοόπρσςτυύϋΰφχψωώ' },
} as const satisfies Record<string, Language>;

export type LanguageCode = keyof typeof LANGUAGES;

export const LANGUAGE_CODES = Object.keys(LANGUAGES) as [LanguageCode, ...LanguageCode[]];

/** Every letter that a language needs, small and capital. */
export function lettersOf(code: LanguageCode): readonly string[] {
  const { letters } = LANGUAGES[code];
  const capitals = Array.from(letters, (letter) => letter.toLocaleUpperCase(code)).join('');
  return [...new Set(Array.from(letters + capitals))];
}
