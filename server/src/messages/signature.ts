import { createHash, createHmac, timingSafeEqual } from 'node:crypto';

/** What of a message is signed, in order: names of fields in lower case, or `@`-names of the request itself. */
export type Components = readonly (readonly [name: string, value: string])[];

export interface SignatureParts {
  readonly created: number;
  readonly keyId: string;
  readonly algorithm?: string;
}

/** What stands in `Signature-Input`, behind the label. Source: RFC 9421, 2.3. */
export const parametersOf = (
  components: Components,
  { created, keyId, algorithm }: SignatureParts,
): string =>
  [
    `(${components.map(([name]) => `"${name}"`).join(' ')})`,
    `created=${created}`,
    `keyid="${keyId}"`,
    ...(algorithm === undefined ? [] : [`alg="${algorithm}"`]),
  ].join(';');

/** The text that is signed. Source: RFC 9421, 2.5. */
export const signatureBase = (components: Components, parameters: string): string =>
  [
    ...components.map(([name, value]) => `"${name}": ${value.trim()}`),
    `"@signature-params": ${parameters}`,
  ].join('\n');

/** A signature with a shared secret. Source: RFC 9421, 3.3.3 (hmac-sha256). */
export const signed = (base: string, secret: Buffer): string =>
  createHmac('sha256', secret).update(base).digest('base64');

/** What a body comes to, as a field says it. Source: RFC 9530, 2. */
export const digestOf = (body: string): string =>
  `sha-256=:${createHash('sha256').update(body).digest('base64')}:`;

const LABEL = 'garnish';
const KEY_ID = 'garnish';
/** So long before or after now a message may have been made, in seconds. */
const FRESH_S = 300;

/** The fields of a POST of JSON that is signed with a shared secret, as RFC 9421 has it. */
export function signedFields(
  url: string,
  body: string,
  secret: Buffer,
  now: Date,
): Readonly<Record<string, string>> {
  const digest = digestOf(body);
  const components: Components = [
    ['@method', 'POST'],
    ['@target-uri', url],
    ['content-type', 'application/json'],
    ['content-digest', digest],
  ];
  const parameters = parametersOf(components, {
    created: Math.floor(now.getTime() / 1000),
    keyId: KEY_ID,
    algorithm: 'hmac-sha256',
  });
  return {
    'content-type': 'application/json',
    'content-digest': digest,
    'signature-input': `${LABEL}=${parameters}`,
    signature: `${LABEL}=:${signed(signatureBase(components, parameters), secret)}:`,
  };
}

const INPUT =
  /^garnish=(\("@method" "@target-uri" "content-type" "content-digest"\);created=(\d{1,12});keyid="garnish";alg="hmac-sha256")$/;

/**
 * Why a message is not to be believed; nothing where it is: signed with the secret, of this body, made just now.
 * @param url the address that it was sent to, as its sender knows it
 */
export function signatureProblem(
  url: string,
  fields: Readonly<Record<string, string | undefined>>,
  body: string,
  secret: Buffer,
  now: Date,
): string | undefined {
  const [, parameters, created] = INPUT.exec(fields['signature-input'] ?? '') ?? [];
  if (parameters === undefined) return 'it is not signed as it should be';
  if (Math.abs(now.getTime() / 1000 - Number(created)) > FRESH_S) return 'it is too old';
  if (fields['content-digest'] !== digestOf(body)) return 'its body is another';
  const base = signatureBase(
    [
      ['@method', 'POST'],
      ['@target-uri', url],
      ['content-type', fields['content-type'] ?? ''],
      ['content-digest', fields['content-digest'] ?? ''],
    ],
    parameters,
  );
  const [, said = ''] = /^garnish=:([A-Za-z0-9+/=]+):$/.exec(fields['signature'] ?? '') ?? [];
  const [own, theirs] = [Buffer.from(signed(base, secret)), Buffer.from(said)];
  return own.length === theirs.length && timingSafeEqual(own, theirs)
    ? undefined
    : 'it is signed with another secret';
}
