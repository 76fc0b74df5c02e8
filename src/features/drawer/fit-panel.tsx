import { useState } from 'react';
import { View } from 'react-native';
import type { BeadKindId } from '@/catalogue/ids';
import { beadFit, beadOnHook, tippetFit, weightFit, type FitHook, type Hook } from '@/core/hooks';
import { useSpeech, useWords } from '@/features/shell';
import { Choose, Digits, Field, Heading, Say } from '@/ui/primitives';
import { readMillimetres } from '@/core/units';
import { MM_PER_INCH } from '@/core/constants';

const METALS = ['lead', 'tin'] as const;

/** What one hook takes: beads by its gape and bend, wire for weight, tippet through the eye. Warnings never forbid. */
export function FitPanel({ hooks, start }: { hooks: readonly Hook[]; start: string }) {
  const words = useWords();
  const speech = useSpeech();
  const [size, setSize] = useState(start);
  const [kind, setKind] = useState<BeadKindId | null>(null);
  const [metal, setMetal] = useState<(typeof METALS)[number]>('lead');
  const [bore, setBore] = useState('');
  const hook = hooks.find((item) => item.size === size) ?? hooks[0]!;
  const iron: FitHook = {
    bend: hook.bend,
    barb: hook.barb,
    shankMm: hook.shank.value,
    gapeMm: hook.gape.value,
    wireMm: hook.wireDiameter.value,
    eyeMm: hook.eyeOuter.value,
  };
  const fit = beadFit(iron, kind ?? undefined);
  const used = kind ?? fit.kinds[0]!;
  const boreMm = bore.trim() === '' ? null : readMillimetres(bore, speech.unit === 'mm' ? 1 : MM_PER_INCH);
  const weight = weightFit(iron, metal);
  const tippet = tippetFit(iron);
  return (
    <View className="gap-4 px-5 py-4">
      <Heading>{words('fit.title')}</Heading>
      <Choose
        label={words('tape.size')}
        choices={hooks.map((item) => ({ id: item.size, label: item.size }))}
        value={hook.size}
        onChange={setSize}
      />
      <View className="gap-2">
        <Heading size="small" level={3}>
          {words('fit.beads')}
        </Heading>
        <Say size="small">
          {words('fit.range', {
            low: speech.length(fit.rangeMm[0]),
            usual: speech.length(fit.rangeMm[1]),
            high: speech.length(fit.rangeMm[2]),
          })}
        </Say>
        <Choose
          label={words('fit.kind')}
          choices={fit.kinds.map((id) => ({ id, label: speech.name('bead-kinds', id) }))}
          value={used}
          onChange={setKind}
        />
        <View className="max-w-60">
          <Field
            label={words('fit.bore')}
            value={bore}
            numeric
            onType={setBore}
            hint={words('fit.bore-hint')}
            error={boreMm === null && bore.trim() !== '' ? words('fit.bore-unread') : null}
          />
        </View>
        <View role="table" aria-label={words('fit.table')} className="border-t border-line">
          <View role="row" className="flex-row gap-2 py-1">
            {['bead', 'needs', 'clear', 'tungsten', 'brass'].map((name) => (
              <View key={name} role="columnheader" className="min-w-0 flex-1 items-end">
                <Say size="small" tone="soft" className="text-right">
                  {words(`fit.${name}`)}
                </Say>
              </View>
            ))}
          </View>
          {fit.beads.map(({ diameterMm }) => {
            const bead = beadOnHook(iron, diameterMm, used, boreMm);
            return (
              <View key={diameterMm} className="border-t border-line py-2">
                <View role="row" className="flex-row items-baseline gap-2">
                  <FitCell strong={bead.usual}>{speech.digits(bead.diameterMm)}</FitCell>
                  <FitCell>{speech.digits(bead.boreNeededMm, true)}</FitCell>
                  <FitCell>{`${Math.round(bead.clear * 100)} %`}</FitCell>
                  <FitCell>{speech.number(bead.tungstenMg)}</FitCell>
                  <FitCell>{speech.number(bead.brassMg)}</FitCell>
                </View>
                {bead.warnings.map((warning, index) => (
                  <Say key={index} size="small" tone="straw">
                    {speech.say(warning)}
                  </Say>
                ))}
              </View>
            );
          })}
        </View>
        <Say size="small" tone="soft">
          {words('fit.units', { unit: speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in') })}
        </Say>
      </View>
      <View className="gap-2">
        <Heading size="small" level={3}>
          {words('fit.wire')}
        </Heading>
        <Choose
          label={words('fit.metal')}
          choices={METALS.map((id) => ({ id, label: words(`fit.metals.${id}`) }))}
          value={metal}
          onChange={setMetal}
        />
        <Say size="small">
          {words('fit.wound', {
            wire: speech.length(weight.wireMm, true),
            turns: weight.turns,
            cover: speech.length(weight.coverMm),
            mass: speech.number(weight.woundMg),
          })}
        </Say>
        <Say size="small">
          {words('fit.sides', {
            cover: speech.length(weight.coverMm),
            mass: speech.number(weight.sidesMg),
            wide: speech.length(weight.sidesWideMm),
          })}
        </Say>
        {metal === 'lead' ? (
          <Say size="small" tone="straw">
            {speech.caution('lead')}
          </Say>
        ) : null}
      </View>
      <View className="gap-2">
        <Heading size="small" level={3}>
          {words('fit.tippet')}
        </Heading>
        <Say size="small" tone={tippet.passes ? 'ink' : 'straw'}>
          {words(tippet.passes ? 'fit.tippet-passes' : 'fit.tippet-tight', {
            usual: tippet.usualX,
            thickest: tippet.thickestX,
            mm: speech.length(tippet.thickestMm, true),
            hole: speech.length(tippet.holeMm, true),
          })}
        </Say>
      </View>
    </View>
  );
}

function FitCell({ children, strong = false }: { children: string; strong?: boolean }) {
  return (
    <View role="cell" className="min-w-0 flex-1 items-end">
      <Digits strong={strong}>{children}</Digits>
    </View>
  );
}
