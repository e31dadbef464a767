import {
  Box3,
  BufferAttribute,
  BufferGeometry,
  DirectionalLight,
  DoubleSide,
  EdgesGeometry,
  HemisphereLight,
  LineBasicMaterial,
  LineDashedMaterial,
  LineSegments,
  Mesh,
  MeshLambertMaterial,
  OrthographicCamera,
  Plane,
  Points,
  PointsMaterial,
  Raycaster,
  Scene as Space,
  Sphere,
  Spherical,
  Vector2,
  Vector3,
  WebGLRenderer,
  type Object3D,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { hatched, type Cut } from './hatched';
import { coloursOf, LOOKS, type Colours, type Look } from './looks';
import type { Solid } from './solids';

/** One body as it is shown. */
export interface Body {
  key: string;
  solid: Solid;
  look: Look;
}

export interface Section {
  axis: 0 | 1 | 2;
  /** How far along it is cut, in shares of the model. */
  at: number;
}

export type Point = [number, number, number];

/** Degrees between two faces from which on the edge between them is drawn. */
const EDGE = 25;

/** In shares of the model. */
const BESIDE = 0.0007;

const ROUND = { turn: Math.PI / 12, zoom: 1.25 };

/** The picture of bodies in three dimensions: turned, cut, picked from. Drawn when something changes, not all the time. */
export class Scene {
  private readonly renderer: WebGLRenderer;
  private readonly camera = new OrthographicCamera();
  private readonly space = new Space();
  private readonly controls: OrbitControls;
  private readonly meshes = new Map<string, { mesh: Mesh; edges: LineSegments; solid: Solid }>();
  private readonly geometries = new WeakMap<Solid, { faces: BufferGeometry; edges: EdgesGeometry }>();
  private readonly cut = new Plane(new Vector3(1, 0, 0), 0);
  private readonly isCut: Cut = { value: false };
  private readonly light = new DirectionalLight(0xffffff, 1.6);
  private ruler: Object3D | null = null;
  private isDrawn = false;
  private colours: Colours;

  constructor(private readonly canvas: HTMLCanvasElement) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
    this.renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    this.colours = coloursOf(canvas);
    this.camera.up.set(0, 0, 1);
    this.space.add(new HemisphereLight(0xffffff, 0x9a9a9a, 2.6), this.light);
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.addEventListener('change', () => this.draw());
    this.resize();
  }

  /** Shows these bodies and no others; what was shown stays where it is seen from. */
  show(bodies: Body[]): void {
    this.colours = coloursOf(this.canvas);
    const wanted = new Set(bodies.map(({ key }) => key));
    for (const [key, { mesh, edges }] of this.meshes) {
      if (!wanted.has(key)) {
        this.space.remove(mesh, edges);
        this.meshes.delete(key);
      }
    }
    for (const { key, solid, look } of bodies) {
      const { faces, edges } = this.geometryOf(solid);
      let there = this.meshes.get(key);
      if (there === undefined) {
        there = { mesh: new Mesh(faces), edges: new LineSegments(edges), solid };
        // Dashes are as long as they are far along a line.
        there.edges.computeLineDistances();
        this.meshes.set(key, there);
        this.space.add(there.mesh, there.edges);
      }
      this.dress(there, look);
    }
    this.draw();
  }

  /** All of it in sight, seen along a direction. */
  fit(from: Point = [1, -1.4, 0.9]): void {
    const ball = this.box().getBoundingSphere(new Sphere());
    const radius = Math.max(ball.radius, 1);
    this.controls.target.copy(ball.center);
    // Straight from above, up would be no direction.
    this.camera.position.copy(ball.center).add(new Vector3(...from).normalize().multiplyScalar(radius * 4));
    this.camera.near = 0;
    this.camera.far = radius * 12;
    this.camera.zoom = 1;
    this.frame(radius * 0.95);
    this.controls.update();
    this.draw();
  }

  /** A step round the model, or nearer. */
  turn(sideways: number, upwards: number): void {
    const away = this.camera.position.clone().sub(this.controls.target);
    // Three counts up along y; here it is z.
    const round = new Spherical().setFromVector3(new Vector3(away.x, away.z, -away.y));
    round.theta += sideways * ROUND.turn;
    round.phi = Math.min(Math.PI - 0.01, Math.max(0.01, round.phi + upwards * ROUND.turn));
    const turned = new Vector3().setFromSpherical(round);
    this.camera.position.copy(this.controls.target).add(new Vector3(turned.x, -turned.z, turned.y));
    this.controls.update();
    this.draw();
  }

  zoom(steps: number): void {
    this.camera.zoom *= ROUND.zoom ** steps;
    this.camera.updateProjectionMatrix();
    this.draw();
  }

  section(section: Section | null): void {
    if (section !== null) {
      const box = this.box();
      const [low, high] = [box.min.getComponent(section.axis), box.max.getComponent(section.axis)];
      const normal = new Vector3().setComponent(section.axis, -1);
      // Faces like to lie just where one cuts, as in the middle: a little beside it each is on one side.
      this.cut.set(normal, low + (high - low) * (section.at + BESIDE));
    }
    this.renderer.clippingPlanes = section === null ? [] : [this.cut];
    this.isCut.value = section !== null;
    this.draw();
  }

  /** What lies under a point of the canvas, which is given in pixels; what is cut away is not there. */
  pick(x: number, y: number): { key: string; at: Point } | null {
    const size = new Vector2(this.canvas.clientWidth, this.canvas.clientHeight);
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2((2 * x) / size.x - 1, 1 - (2 * y) / size.y), this.camera);
    const shown = [...this.meshes].filter(([, { mesh }]) => mesh.visible);
    const isLeft = (at: Vector3) => this.renderer.clippingPlanes.every((plane) => plane.distanceToPoint(at) >= 0);
    const hit = ray.intersectObjects(shown.map(([, { mesh }]) => mesh)).find(({ point }) => isLeft(point));
    const key = shown.find(([, { mesh }]) => mesh === hit?.object)?.[0];
    return hit === undefined || key === undefined ? null : { key, at: hit.point.toArray() };
  }

  /** A line between two points that are measured; one alone is only marked. */
  measure(points: Point[]): void {
    if (this.ruler !== null) this.space.remove(this.ruler);
    this.ruler = null;
    if (points.length > 0) {
      const ends = new BufferGeometry().setFromPoints(points.map((point) => new Vector3(...point)));
      const marks = new Points(
        ends,
        new PointsMaterial({ color: this.colours.ink, size: 8, sizeAttenuation: false, depthTest: false }),
      );
      if (points.length > 1)
        marks.add(new LineSegments(ends, new LineBasicMaterial({ color: this.colours.ink, depthTest: false })));
      marks.renderOrder = 2;
      this.ruler = marks;
      this.space.add(marks);
    }
    this.draw();
  }

  resize(): void {
    const { clientWidth, clientHeight } = this.canvas;
    this.renderer.setSize(clientWidth, clientHeight, false);
    this.frame(this.camera.top > 0 ? this.camera.top : 1);
    this.draw();
  }

  dispose(): void {
    this.controls.dispose();
    this.renderer.dispose();
    this.renderer.forceContextLoss();
  }

  private frame(half: number): void {
    const wide = this.canvas.clientWidth / Math.max(1, this.canvas.clientHeight);
    [this.camera.top, this.camera.bottom] = [half, -half];
    [this.camera.left, this.camera.right] = [-half * wide, half * wide];
    this.camera.updateProjectionMatrix();
  }

  private box(): Box3 {
    const box = new Box3();
    for (const { mesh } of this.meshes.values()) box.expandByObject(mesh);
    return box.isEmpty() ? new Box3(new Vector3(-1, -1, -1), new Vector3(1, 1, 1)) : box;
  }

  private geometryOf(solid: Solid): { faces: BufferGeometry; edges: EdgesGeometry } {
    const known = this.geometries.get(solid);
    if (known !== undefined) return known;
    const faces = new BufferGeometry();
    faces.setAttribute('position', new BufferAttribute(solid.position, 3));
    faces.setAttribute('normal', new BufferAttribute(solid.normal, 3));
    faces.setIndex(new BufferAttribute(solid.index, 1));
    const made = { faces, edges: new EdgesGeometry(faces, EDGE) };
    this.geometries.set(solid, made);
    return made;
  }

  private dress({ mesh, edges, solid }: { mesh: Mesh; edges: LineSegments; solid: Solid }, look: Look): void {
    const { face, edge, opacity, dashed } = LOOKS[look];
    mesh.visible = opacity > 0;
    mesh.material = hatched(
      new MeshLambertMaterial({
        color: this.colours[face],
        opacity,
        transparent: opacity < 1,
        depthWrite: opacity === 1,
        side: DoubleSide,
        polygonOffset: true,
        polygonOffsetFactor: 1,
        polygonOffsetUnits: 1,
      }),
      this.isCut,
      {
        face: this.colours[face],
        ink: this.colours[edge],
        way: solid.id % 2 === 0 ? 1 : -1,
        fine: this.renderer.getPixelRatio(),
      },
    );
    const color = this.colours[edge];
    edges.material = dashed
      ? new LineDashedMaterial({ color, dashSize: 1.6, gapSize: 1.2 })
      : new LineBasicMaterial({ color, transparent: opacity < 1, opacity: opacity < 1 ? 0.35 : 1 });
  }

  private draw(): void {
    if (this.isDrawn) return;
    this.isDrawn = true;
    requestAnimationFrame(() => {
      this.isDrawn = false;
      this.light.position.copy(this.camera.position);
      this.renderer.render(this.space, this.camera);
    });
  }
}
