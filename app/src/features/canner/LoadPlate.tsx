import { type Canner } from '@hoddle/core/canner/canner';
import { inLayers } from '@hoddle/core/canner/layers';
import { loadingOrder } from '@hoddle/core/canner/loadingOrder';
import { loadMap } from '@hoddle/core/canner/loadMap';
import { type CannedBatch, nameOf } from '@hoddle/core/day/batch';
import { type LoadOfBatch } from '@hoddle/core/day/sharedLoad';
import { countJars, JARS } from '@hoddle/core/handbook/jars';
import { useWindowDimensions, View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { hueOfProduct } from '@/ui/colours';
import { CountStepper } from '@/ui/CountStepper';
import { Plate } from '@/ui/Plate';
import { Words } from '@/ui/Words';
import { LoadMapDrawing } from '@/household/canner/LoadMapDrawing';
import { WaterPart } from './WaterPart';

interface LoadPlateProps {
  canner: Canner;
  batch: CannedBatch;
  jars: number;
  /** What goes in with it. */
  guests: readonly LoadOfBatch[];
  /** In all layers together. */
  places: number;
  layers: 1 | 2;
  onJars?: (jars: number) => void;
}

/** Where the jars of a load stand, layer by layer, and the water they stand in. */
export function LoadPlate({ canner, batch, jars, guests, places, layers, onJars }: LoadPlateProps) {
  const { width } = useWindowDimensions();
  const own = useHousehold().household.ownJars.find(({ size }) => size === batch.jar);
  const colours = hueOfProduct(batch.product);
  const all = jars + guests.reduce((sum, guest) => sum + guest.load.jars, 0);
  const filled = inLayers(all, places, layers);
  const mapPx = (width < 1000 ? Math.min(170, width * 0.45) : 230) / (filled.length === 1 ? 1 : 1.25);
  const pxPerIn = mapPx / canner.insideDiameterIn;
  const spacers = filled.reduce((sum, layer) => sum + layer.places - layer.jars, 0);
  const lower = filled[0] ?? { jars: all, places };
  const order = loadingOrder(loadMap(canner, batch.jar, lower.places, lower.jars, own).slice(0, lower.jars));
  return (
    <Plate className="gap-3">
      <View className="-ml-2 flex-row gap-2">
        <View className="gap-2">
          {[...filled].reverse().map((layer, i) => (
            <View key={filled.length - i}>
              <LoadMapDrawing
                canner={canner}
                jar={batch.jar}
                jars={layer.jars}
                places={layer.places}
                hue={colours.hue}
                pxPerIn={pxPerIn}
                numbered
              />
              {filled.length > 1 && (
                <Words size="label" tone="ink-2" className="text-center">
                  {i === 0 ? 'upper layer' : 'lower layer'}
                </Words>
              )}
            </View>
          ))}
        </View>
        <View className="flex-1 gap-2 pt-1">
          <Words>
            <Words size="figure" weight={800}>
              {jars}
            </Words>
            <Words size="lead" weight={700}>
              {' '}
              {jars === 1 ? JARS[batch.jar].one : JARS[batch.jar].several}
            </Words>
          </Words>
          {guests.map(({ batch: other, load }) => (
            <Words key={load.id} weight={600}>
              and {countJars(load.jars, other.jar)} {nameOf(other).toLowerCase()}
            </Words>
          ))}
          {onJars && (
            <CountStepper
              label="Jars that went in"
              count={jars}
              of=""
              least={1}
              most={places - (all - jars)}
              mostWhy="the canner is full"
              onCount={onJars}
            />
          )}
          <Words size="label" tone="ink-2">
            {spacers === 0
              ? 'Full: no spacers.'
              : `${spacers} ${spacers === 1 ? 'spacer' : 'spacers'}: jars of water, so that none tips.`}
          </Words>
          {lower.jars > 2 && (
            <Words size="label" tone="ink-2">
              Set in {order.map((i) => i + 1).join(', ')}: the rack hangs level.
            </Words>
          )}
          {filled.length > 1 && (
            <Words size="label" tone="ink-2">
              A rack between the layers.
            </Words>
          )}
        </View>
      </View>
      <WaterPart canner={canner} batch={batch} places={lower.places} pxPerIn={pxPerIn * 0.82} />
    </Plate>
  );
}
