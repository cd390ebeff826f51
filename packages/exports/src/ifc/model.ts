import { enumeration, real, Step, typed, type StepValue } from './step.js';
import { ifcGuid } from './guid.js';

type Ref = { ref: number };
type XYZ = readonly [number, number, number];

/** What a part of a model is called and measured by, SI but for lengths in millimetres. */
export interface Quantity {
  name: string;
  of: 'length' | 'area' | 'volume' | 'count' | 'weight';
  value: number;
}

const QUANTITY = {
  length: ['IFCQUANTITYLENGTH', 3],
  area: ['IFCQUANTITYAREA', 3],
  volume: ['IFCQUANTITYVOLUME', 3],
  count: ['IFCQUANTITYCOUNT', 3],
  weight: ['IFCQUANTITYWEIGHT', 3],
} as const;

const MEASURE = { text: 'IFCLABEL', count: 'IFCINTEGER', length: 'IFCPOSITIVELENGTHMEASURE' } as const;

export interface Property {
  name: string;
  as: keyof typeof MEASURE;
  value: string | number;
}

/** A building model as it is put together: units, one storey, and what stands in it. */
export class Model {
  readonly step = new Step();
  private readonly body: Ref;
  private readonly storeyPlacement: Ref;
  private readonly storey: Ref;
  private readonly standing: Ref[] = [];
  private readonly zUp: Ref;

  constructor(
    private readonly job: string,
    key: string,
  ) {
    const { step } = this;
    const origin = this.point([0, 0, 0]);
    this.zUp = step.add('IFCAXIS2PLACEMENT3D', origin, null, null);
    const unit = (kind: string, prefix: string | null, name: string): Ref =>
      step.add(
        'IFCSIUNIT',
        enumeration('*'),
        enumeration(kind),
        prefix === null ? null : enumeration(prefix),
        enumeration(name),
      );
    const units = step.add('IFCUNITASSIGNMENT', [
      unit('LENGTHUNIT', 'MILLI', 'METRE'),
      unit('AREAUNIT', null, 'SQUARE_METRE'),
      unit('VOLUMEUNIT', null, 'CUBIC_METRE'),
      unit('MASSUNIT', 'KILO', 'GRAM'),
      unit('PLANEANGLEUNIT', null, 'RADIAN'),
    ]);
    const context = step.add(
      'IFCGEOMETRICREPRESENTATIONCONTEXT',
      null,
      'Model',
      3,
      real(1e-3),
      this.zUp,
      null,
    );
    this.body = step.add(
      'IFCGEOMETRICREPRESENTATIONSUBCONTEXT',
      'Body',
      'Model',
      enumeration('*'),
      enumeration('*'),
      enumeration('*'),
      enumeration('*'),
      context,
      null,
      enumeration('MODEL_VIEW'),
      null,
    );
    const guid = (what: string): string => ifcGuid(`${key}/${what}`);
    const project = step.add(
      'IFCPROJECT',
      guid('project'),
      null,
      job,
      null,
      null,
      null,
      null,
      [context],
      units,
    );
    const place = (inside: Ref | null): Ref => step.add('IFCLOCALPLACEMENT', inside, this.zUp);
    const site = place(null);
    const siteRef = step.add(
      'IFCSITE',
      guid('site'),
      null,
      'Site',
      null,
      null,
      site,
      null,
      null,
      enumeration('ELEMENT'),
      null,
      null,
      null,
      null,
      null,
    );
    const building = place(site);
    const buildingRef = step.add(
      'IFCBUILDING',
      guid('building'),
      null,
      job,
      null,
      null,
      building,
      null,
      null,
      enumeration('ELEMENT'),
      null,
      null,
      null,
    );
    this.storeyPlacement = place(building);
    this.storey = step.add(
      'IFCBUILDINGSTOREY',
      guid('storey'),
      null,
      'Ground',
      null,
      null,
      this.storeyPlacement,
      null,
      null,
      enumeration('ELEMENT'),
      real(0),
    );
    for (const [whole, part] of [
      [project, siteRef],
      [siteRef, buildingRef],
      [buildingRef, this.storey],
    ] as const)
      step.add('IFCRELAGGREGATES', guid(`in-${whole.ref}`), null, null, null, whole, [part]);
  }

  point([x, y, z]: XYZ): Ref {
    return this.step.add('IFCCARTESIANPOINT', [real(x), real(y), real(z)]);
  }

  private direction([x, y, z]: XYZ): Ref {
    return this.step.add('IFCDIRECTION', [real(x), real(y), real(z)]);
  }

  placement(): Ref {
    return this.step.add('IFCLOCALPLACEMENT', this.storeyPlacement, this.zUp);
  }

  private profile(points: readonly (readonly [number, number])[]): Ref {
    const { step } = this;
    const at = points.map(([x, y]) => step.add('IFCCARTESIANPOINT', [real(x), real(y)]));
    const line = step.add('IFCPOLYLINE', [...at, at[0] as Ref]);
    return step.add('IFCARBITRARYCLOSEDPROFILEDEF', enumeration('AREA'), null, line);
  }

  private shapeOf(item: Ref, kind: string): Ref {
    const { step } = this;
    const shape = step.add('IFCSHAPEREPRESENTATION', this.body, 'Body', kind, [item]);
    return step.add('IFCPRODUCTDEFINITIONSHAPE', null, null, [shape]);
  }

  private extruded(profile: readonly (readonly [number, number])[], at: Ref, deep: number): Ref {
    const solid = this.step.add(
      'IFCEXTRUDEDAREASOLID',
      this.profile(profile),
      at,
      this.direction([0, 0, 1]),
      real(deep),
    );
    return this.shapeOf(solid, 'SweptSolid');
  }

  /** A plan drawn up from `bottom` so high, mm. */
  upright(plan: readonly (readonly [number, number])[], bottom: number, high: number): Ref {
    const at = this.step.add('IFCAXIS2PLACEMENT3D', this.point([0, 0, bottom]), null, null);
    return this.extruded(plan, at, high);
  }

  /** A face drawn back through its depth: `along` the wall and up, from `from`, whose outside looks the way `out` does. */
  through(face: readonly (readonly [number, number])[], from: XYZ, along: XYZ, out: XYZ, deep: number): Ref {
    const at = this.step.add(
      'IFCAXIS2PLACEMENT3D',
      this.point(from),
      this.direction(out),
      this.direction(along),
    );
    return this.extruded(face, at, deep);
  }

  /** A bar through points, as thick as `radius` makes it, mm. */
  bar(points: readonly XYZ[], radius: number): Ref {
    const line = this.step.add(
      'IFCPOLYLINE',
      points.map((p) => this.point(p)),
    );
    const disk = this.step.add('IFCSWEPTDISKSOLID', line, real(radius), null, null, null);
    return this.shapeOf(disk, 'AdvancedSweptSolid');
  }

  /** Something that stands in the storey, or (`part`) in something that does. */
  stand(ref: Ref): Ref {
    this.standing.push(ref);
    return ref;
  }

  /** Relates one to many: parts of a whole, what fills a name. */
  relate(type: string, key: string, ...values: StepValue[]): void {
    this.step.add(type, ifcGuid(`${this.job}/${key}`), null, null, null, ...values);
  }

  quantities(of: Ref, key: string, name: string, list: readonly Quantity[]): void {
    const { step } = this;
    const items = list.map((q) =>
      step.add(
        QUANTITY[q.of][0],
        q.name,
        null,
        null,
        q.of === 'count' ? Math.round(q.value) : real(q.value),
        null,
      ),
    );
    const set = step.add('IFCELEMENTQUANTITY', ifcGuid(`${key}/q`), null, name, null, null, items);
    step.add('IFCRELDEFINESBYPROPERTIES', ifcGuid(`${key}/qr`), null, null, null, [of], set);
  }

  properties(of: Ref, key: string, name: string, list: readonly Property[]): void {
    const { step } = this;
    const items = list.map((p) =>
      step.add(
        'IFCPROPERTYSINGLEVALUE',
        p.name,
        null,
        typed(MEASURE[p.as], p.as === 'length' ? real(Number(p.value)) : p.value),
        null,
      ),
    );
    const set = step.add('IFCPROPERTYSET', ifcGuid(`${key}/p`), null, name, null, items);
    step.add('IFCRELDEFINESBYPROPERTIES', ifcGuid(`${key}/pr`), null, null, null, [of], set);
  }

  file(now: string): string {
    if (this.standing.length > 0)
      this.relate('IFCRELCONTAINEDINSPATIALSTRUCTURE', 'standing', this.standing, this.storey);
    return this.step.file(`${this.job}.ifc`, now);
  }
}
