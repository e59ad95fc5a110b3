import type { Component } from './component.ts';
import { dialog } from './dialog.ts';
import { fold } from './fold.ts';
import { progress } from './progress.ts';
import { slider } from './slider.ts';
import { choice } from './choice.ts';
import { skip } from './skip.ts';
import { breadcrumb } from './breadcrumb.ts';
import { tabs } from './tabs.ts';
import { link } from './link.ts';
import { addOne } from './add-one.ts';
import { form } from './form.ts';
import { marker } from './marker.ts';
import { prices } from './prices.ts';
import { alert } from './alert.ts';
import { artwork } from './artwork.ts';
import { band } from './band.ts';
import { button } from './button.ts';
import { card } from './card.ts';
import { code } from './code.ts';
import { field } from './field.ts';
import { figure } from './figure.ts';
import { footer } from './footer.ts';
import { footnote } from './footnote.ts';
import { header } from './header.ts';
import { list } from './list.ts';
import { navigation } from './navigation.ts';
import { notice } from './notice.ts';
import { opening } from './opening.ts';
import { page } from './page.ts';
import { point } from './point.ts';
import { questions } from './questions.ts';
import { quotation } from './quotation.ts';
import { steps } from './steps.ts';
import { table } from './table.ts';
import { tag } from './tag.ts';
import { ways } from './ways.ts';

/** The components in the order in which they are looked at; a new one is a file and a line here. */
export const COMPONENTS: readonly Component[] = [
  header,
  navigation,
  tabs,
  breadcrumb,
  skip,
  page,
  opening,
  button,
  link,
  addOne,
  notice,
  alert,
  tag,
  marker,
  progress,
  table,
  card,
  field,
  form,
  choice,
  slider,
  questions,
  fold,
  dialog,
  point,
  list,
  quotation,
  code,
  figure,
  prices,
  footnote,
  steps,
  band,
  ways,
  artwork,
  footer,
];

/** The components that have variants, by each of their classes. */
export const COMPONENT_BY_CLASS: ReadonlyMap<string, Component> = new Map(
  COMPONENTS.filter(({ variants = [] }) => variants.length > 0).flatMap((component) =>
    component.classes.map(({ name }) => [name, component] as const),
  ),
);
