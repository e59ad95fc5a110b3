import type { Derived } from '@garnish/core/derive/derived';
import type { StyleDocument } from '@garnish/core/system/document';
import { zipSync } from 'fflate';
import { useEffect, useMemo, useState } from 'react';
import { saveAs } from '../ui/save-as.ts';
import { assetsOf, typeOf, type Asset, type TakeFile } from './assets.ts';

interface AssetListProps {
  readonly document: StyleDocument;
  readonly derived: Derived;
  readonly take: TakeFile;
  /** What the archive of all is called. */
  readonly fileName: string;
}

/** A picture of an asset, where it is one. */
function Preview({ asset: { file, bytes } }: { readonly asset: Asset }) {
  const type = typeOf(file);
  const address = useMemo(() => {
    if (!type.startsWith('image/')) return undefined;
    let text = '';
    for (let at = 0; at < bytes.length; at += 0x8000)
      text += String.fromCodePoint(...bytes.subarray(at, at + 0x8000));
    return `data:${type};base64,${btoa(text)}`;
  }, [type, bytes]);
  return address === undefined ? null : (
    <img
      src={address}
      alt=""
      loading="lazy"
      className="mb-1 h-16 max-w-full bg-white object-contain object-left p-1"
    />
  );
}

/** Everything that is taken by itself, kind by kind: one by one, or together. */
export function AssetList({ document, derived, take, fileName }: AssetListProps) {
  const [assets, setAssets] = useState<readonly Asset[]>();
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    let isOver = false;
    assetsOf(document, derived, take)
      .then((found) => {
        if (!isOver) setAssets(found);
      })
      .catch((error: unknown) => {
        if (!isOver) setProblem(error instanceof Error ? error.message : String(error));
      });
    return () => {
      isOver = true;
    };
  }, [document, derived, take]);
  if (problem !== undefined)
    return (
      <p role="alert" className="text-error">
        {problem}
      </p>
    );
  if (!assets) return <p className="text-quiet">Reading the assets …</p>;
  const all = (): void => {
    const files = Object.fromEntries(
      assets.map(({ kind, file, bytes }) => [`${kind}/${file}`, bytes]),
    );
    saveAs(fileName, new Blob([new Uint8Array(zipSync(files))], { type: 'application/zip' }));
  };
  const kinds = [...new Set(assets.map(({ kind }) => kind))];
  return (
    <div>
      <button type="button" className="act" onClick={all}>
        All {assets.length} as one archive
      </button>
      {kinds.map((kind) => (
        <section key={kind} aria-label={kind} className="mt-4">
          <h2 className="border-b border-line pb-1 font-semibold">{kind}</h2>
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(8.5rem,1fr))] gap-x-4 gap-y-3 pt-2">
            {assets
              .filter((asset) => asset.kind === kind)
              .map((asset) => (
                <li key={asset.file} className="min-w-0">
                  <Preview asset={asset} />
                  <button
                    type="button"
                    className="min-h-6 max-w-full text-start break-words hover:underline"
                    title={`Take ${asset.file}`}
                    onClick={() =>
                      saveAs(asset.file, new Blob([asset.bytes], { type: typeOf(asset.file) }))
                    }
                  >
                    {asset.name}
                  </button>
                  <span className="figures block text-xs text-quiet">
                    {asset.bytes.length < 1000
                      ? `${asset.bytes.length} B`
                      : `${Math.round(asset.bytes.length / 1000)} kB`}
                  </span>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
