import type { Point, Point3, SpaceView } from '@hedrion/core'
import type { LineSegments } from 'three'
import {
  Box3,
  Color,
  ConeGeometry,
  DirectionalLight,
  DoubleSide,
  Group,
  HemisphereLight,
  InstancedMesh,
  LineBasicMaterial,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  PerspectiveCamera,
  Raycaster,
  Scene,
  Sphere,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/addons/controls/OrbitControls.js'
import type { Palette } from '../../ui/tokens'
import { markColour } from '../hatches'
import type { GridMark, Mark } from '../scene'
import type { Sight } from '../sight'
import {
  ballOf,
  clear,
  edgesOf,
  geometryOf,
  gridAt,
  hatched,
  isLight,
  nameAt,
  planPlaces,
  segments,
  solidsOf,
} from './parts'
import { sightOf } from './sightOf'
import {
  barsOf,
  linesOf,
  loadLines,
  middlesOf,
  namedLevels,
  ordinateHeight,
  quadPlaces,
  quadsOf,
  trianglesOf,
  type Bar,
  type Middle,
} from './solids'

export interface SpaceLook {
  readonly palette: Palette
  readonly mark: Mark
  readonly area: boolean
  readonly member: boolean
  /** Levels by name and height, m. */
  readonly levels: readonly { readonly name: string; readonly z: number }[]
  readonly font: string
}

interface Hit {
  readonly id: string
  /** From the viewer, m. */
  readonly away: number
}

const nearest = (a: Hit | null, b: Hit | null): Hit | null => (a && b ? (a.away <= b.away ? a : b) : (a ?? b))

/** How long after the last movement the members become solid again, ms. */
const stillAfter = 160

/**
 * The building in space on a canvas, as a class of its own: the page hands it what is to be seen and what is picked. Members
 * are lines while the view moves and solids when it is still. It draws when something has changed, and not before.
 */
export class SpaceScene {
  readonly #renderer: WebGLRenderer
  readonly #scene = new Scene()
  readonly #camera = new PerspectiveCamera(32, 1, 0.1, 5000)
  readonly #controls: OrbitControls
  readonly #raycaster = new Raycaster()
  #view: SpaceView | null = null
  #look: SpaceLook | null = null
  #bars: readonly Bar[] = []
  #world = new Group()
  #picks = new Group()
  #grid = new Group()
  #solids: InstancedMesh | null = null
  #lines: LineSegments | null = null
  #faces: Mesh | null = null
  #owners: Uint32Array = new Uint32Array(0)
  #surfaces: Mesh | null = null
  #ball = new Sphere(new Vector3(), 10)
  #placed = false
  #sized = false
  #asked = 0
  #size: readonly [number, number] = [1, 1]
  #sight: Sight | null = null
  readonly #watchers = new Set<() => void>()
  #still: ReturnType<typeof setTimeout> | undefined

  /** Throws where the browser has no WebGL. */
  constructor(canvas: HTMLCanvasElement) {
    this.#renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true })
    this.#camera.up.set(0, 0, 1)
    this.#controls = new OrbitControls(this.#camera, canvas)
    this.#controls.enableDamping = false
    this.#controls.addEventListener('start', () => this.#move())
    this.#controls.addEventListener('change', () => this.draw())
    this.#controls.addEventListener('end', () => this.#rest())
    const sun = new DirectionalLight(0xffffff, 1.4)
    sun.position.set(-2, -3, 5)
    this.#scene.add(new HemisphereLight(0xffffff, 0x9a958a, 1.7), sun, this.#world, this.#picks, this.#grid)
  }

  /** What is to be seen; the view stays where it is unless nothing was seen before. */
  show(view: SpaceView, look: SpaceLook): void {
    this.#view = view
    this.#look = look
    this.#bars = barsOf(view.members)
    clear(this.#world)
    this.#addMembers(view, look)
    this.#addFaces(view, look)
    this.#addSurfaces(view, look)
    this.#addLoads(view, look)
    this.#addSupports(view, look)
    this.#ball = ballOf(this.#bars, view)
    this.#addNames(look)
    if (!this.#placed && this.#bars.length > 0 && this.#sized) this.fit()
    this.draw()
  }

  /** What is picked stands out, also from behind other members; what feeds it is lit. */
  pick(ids: readonly string[], lit: readonly string[] = []): void {
    clear(this.#picks)
    this.#light(new Set(lit))
    const wanted = new Set(ids)
    const { members = [], faces: floors = [], areaLoads = [], surfaces = [] } = this.#view ?? {}
    const faces = [...floors, ...areaLoads]
    const bars = this.#bars.filter(({ member }) => wanted.has(members[member]?.expandedId ?? ''))
    const edges = faces
      .filter(({ expandedId }) => wanted.has(expandedId))
      .flatMap(({ rings }) => rings.flatMap(edgesOf))
    const sides = surfaces.filter(({ expandedId }) => wanted.has(expandedId)).flatMap(({ corners }) => edgesOf(corners))
    const colour = this.#look?.palette.accent ?? '#000000'
    const material = new LineBasicMaterial({ color: colour, depthTest: false, transparent: true })
    const both = [...linesOf(bars), ...[...edges, ...sides].flat(2)]
    if (both.length > 0) this.#picks.add(segments(Float32Array.from(both), material, 5))
    if (bars.length > 0) this.#picks.add(solidsOf(bars, new MeshBasicMaterial({ color: colour })))
    this.draw()
  }

  #light(lit: ReadonlySet<string>): void {
    if (lit.size === 0 || !this.#view || !this.#look) return
    const { members, faces } = this.#view
    const color = this.#look.palette.accent
    const { positions } = trianglesOf(faces.filter(({ expandedId }) => lit.has(expandedId)))
    const film = new MeshBasicMaterial({ color, side: DoubleSide, transparent: true, opacity: 0.3, depthWrite: false })
    const lights = new Mesh(geometryOf(positions), film)
    // over the floors, which are seen through as well
    lights.renderOrder = 2
    if (positions.length > 0) this.#picks.add(lights)
    const bars = this.#bars.filter(({ member }) => lit.has(members[member]?.expandedId ?? ''))
    if (bars.length > 0) this.#picks.add(segments(linesOf(bars), new LineBasicMaterial({ color, depthTest: false }), 4))
  }

  resize(width: number, height: number): void {
    this.#renderer.setPixelRatio(globalThis.devicePixelRatio || 1)
    this.#renderer.setSize(width, height, false)
    this.#camera.aspect = width / Math.max(1, height)
    this.#camera.updateProjectionMatrix()
    this.#sized = true
    this.#size = [width, height]
    this.#sight = null
    if (!this.#placed && this.#bars.length > 0) this.fit()
    this.draw()
  }

  /** From the south-east and above, with all of the building in the picture. */
  fit(): void {
    const { center, radius } = this.#ball
    const upright = (this.#camera.fov * Math.PI) / 360
    const across = Math.atan(Math.tan(upright) * this.#camera.aspect)
    const away = (1.2 * radius) / Math.sin(Math.min(upright, across))
    this.#controls.target.copy(center)
    this.#camera.position.copy(center).add(new Vector3(0.62, -0.9, 0.55).normalize().multiplyScalar(away))
    this.#camera.near = away / 100
    this.#camera.far = away * 10
    this.#camera.updateProjectionMatrix()
    this.#controls.update()
    this.#placed = true
    this.draw()
  }

  zoom(factor: number): void {
    const { target } = this.#controls
    this.#camera.position.sub(target).divideScalar(factor).add(target)
    this.#controls.update()
    this.draw()
  }

  /** Turns about the upright axis, and up or down; rad. */
  turn(about: number, up: number): void {
    const { target } = this.#controls
    const arm = this.#camera.position.clone().sub(target)
    const flat = Math.hypot(arm.x, arm.y)
    const [bearing, height] = [Math.atan2(arm.y, arm.x) + about, Math.atan2(arm.z, flat) + up]
    const steep = Math.min(1.5, Math.max(-1.2, height))
    const away = arm.length()
    arm.set(Math.cos(bearing) * Math.cos(steep), Math.sin(bearing) * Math.cos(steep), Math.sin(steep))
    this.#camera.position.copy(target).add(arm.multiplyScalar(away))
    this.#controls.update()
    this.draw()
  }

  /** What is under a point of the canvas (from its upper left corner, in its own pixels): a member before a face. */
  at(x: number, y: number, width: number, height: number): string | null {
    this.#raycaster.setFromCamera(new Vector2((x / width) * 2 - 1, 1 - (y / height) * 2), this.#camera)
    const away = this.#camera.position.distanceTo(this.#controls.target)
    const perPixel = (2 * away * Math.tan((this.#camera.fov * Math.PI) / 360)) / height
    this.#raycaster.params.Line = { threshold: 6 * perPixel }
    const [member, face] = [this.#memberHit(), nearest(this.#faceHit(), this.#surfaceHit())]
    // a member well behind a floor is hidden by it
    const hidden = member && face && face.away < member.away - 1.5
    return (hidden ? face : (member ?? face))?.id ?? null
  }

  #memberHit(): Hit | null {
    const [found] = this.#lines ? this.#raycaster.intersectObject(this.#lines, false) : []
    const bar = this.#bars[Math.floor((found?.index ?? -2) / 2)]
    const member = this.#view?.members[bar?.member ?? -1]
    return found && member ? { id: member.expandedId, away: found.distance } : null
  }

  #faceHit(): Hit | null {
    const [found] = this.#faces ? this.#raycaster.intersectObject(this.#faces, false) : []
    const face = this.#view?.faces[this.#owners[found?.faceIndex ?? -1] ?? -1]
    return found && face ? { id: face.expandedId, away: found.distance } : null
  }

  #surfaceHit(): Hit | null {
    const [found] = this.#surfaces ? this.#raycaster.intersectObject(this.#surfaces, false) : []
    // two triangles each
    const surface = this.#view?.surfaces[Math.floor((found?.faceIndex ?? -2) / 2)]
    return found && surface ? { id: surface.expandedId, away: found.distance } : null
  }

  /** How the building is seen now; the same until it is seen otherwise. */
  sight(): Sight {
    this.#sight ??= sightOf(this.#camera, ...this.#size)
    return this.#sight
  }

  /** Calls back whenever the building is seen otherwise; answers how to stop that. */
  watch(listener: () => void): () => void {
    this.#watchers.add(listener)
    return () => void this.#watchers.delete(listener)
  }

  /** Whether a drag turns the view. */
  setTurns(turns: boolean): void {
    this.#controls.enabled = turns
  }

  /** The grid on the level that is drawn on, over everything; none where there is no elevation. */
  showGrid(lines: readonly GridMark[], z: number | null): void {
    clear(this.#grid)
    if (z !== null && this.#look && this.#bars.length > 0) this.#grid.add(gridAt(lines, this.#box(), z, this.#look))
    this.draw()
  }

  #box(): Box3 {
    return new Box3().setFromPoints(this.#bars.flatMap(({ a, b }) => [new Vector3(...a), new Vector3(...b)]))
  }

  /** Where the middles of members, floors and surfaces are seen, in pixels, y downwards; what is behind the viewer is not among them. */
  middles(): readonly (Omit<Middle, 'at'> & { readonly at: Point })[] {
    const sight = this.sight()
    return (this.#view ? middlesOf(this.#view, this.#bars) : []).flatMap(({ id, kind, at }) => {
      const seen = sight.seen(at)
      return seen ? [{ id, kind, at: seen }] : []
    })
  }

  draw(): void {
    if (this.#asked !== 0) return
    this.#asked = requestAnimationFrame(() => {
      this.#asked = 0
      this.#sight = null
      this.#renderer.render(this.#scene, this.#camera)
      for (const listener of this.#watchers) listener()
    })
  }

  dispose(): void {
    cancelAnimationFrame(this.#asked)
    clearTimeout(this.#still)
    clear(this.#world)
    clear(this.#picks)
    clear(this.#grid)
    this.#controls.dispose()
    this.#renderer.dispose()
  }

  #move(): void {
    clearTimeout(this.#still)
    if (this.#solids) this.#solids.visible = false
    if (this.#lines) this.#lines.visible = true
  }

  #rest(): void {
    this.#still = setTimeout(() => {
      if (this.#solids) this.#solids.visible = true
      if (this.#lines) this.#lines.visible = false
      this.draw()
    }, stillAfter)
  }

  #addMembers(view: SpaceView, { palette }: SpaceLook): void {
    const colours = this.#bars.map(
      ({ member }) => new Color(isLight(view.members[member]?.role) ? palette.quiet : palette.ink),
    )
    this.#solids = solidsOf(this.#bars, new MeshLambertMaterial({ color: '#ffffff' }))
    colours.forEach((colour, i) => this.#solids?.setColorAt(i, colour))
    this.#lines = segments(linesOf(this.#bars), new LineBasicMaterial({ color: palette.ink }), 2)
    this.#lines.visible = false
    this.#world.add(this.#solids, this.#lines)
  }

  /** Floors and roofs, from below: the lower ones show through the upper ones, walls behind them do not. */
  #addFaces(view: SpaceView, { palette, mark, area }: SpaceLook): void {
    const { positions, faces } = trianglesOf(view.faces)
    this.#owners = faces
    const ground = new MeshBasicMaterial({
      color: palette.floor,
      side: DoubleSide,
      transparent: true,
      opacity: 0.72,
      polygonOffset: true,
      polygonOffsetFactor: 1,
    })
    this.#faces = new Mesh(geometryOf(positions), ground)
    this.#world.add(this.#faces)
    const edges = view.faces.flatMap(({ rings }) => rings.flatMap(edgesOf)).flat(2)
    this.#world.add(segments(Float32Array.from(edges), new LineBasicMaterial({ color: palette.border }), 1))
    const loaded = [...view.faces, ...view.areaLoads].filter(({ pressure }) => pressure !== 0)
    const outlines = view.areaLoads
      .filter(({ pressure }) => pressure !== 0)
      .flatMap(({ rings }) => rings.flatMap(edgesOf))
    if (area && outlines.length > 0) {
      const material = new LineBasicMaterial({ color: markColour(palette, mark) })
      this.#world.add(segments(Float32Array.from(outlines.flat(2)), material, 3))
    }
    if (area && loaded.length > 0) {
      const { positions: there } = trianglesOf(loaded)
      this.#world.add(hatched(there, planPlaces(there), palette, mark))
    }
  }

  /** Walls, barriers and flights: seen through, so that members behind them show, and hatched where the case loads them. */
  #addSurfaces({ surfaces }: SpaceView, { palette, mark, area }: SpaceLook): void {
    const film = new MeshBasicMaterial({
      color: palette.quiet,
      side: DoubleSide,
      transparent: true,
      opacity: 0.16,
      depthWrite: false,
    })
    this.#surfaces = new Mesh(geometryOf(quadsOf(surfaces).positions), film)
    this.#world.add(this.#surfaces)
    const edges = surfaces.flatMap(({ corners }) => edgesOf(corners)).flat(2)
    this.#world.add(segments(Float32Array.from(edges), new LineBasicMaterial({ color: palette.quiet }), 1))
    const loaded = surfaces.filter(({ load }) => load !== 0)
    if (area && loaded.length > 0)
      this.#world.add(hatched(quadsOf(loaded).positions, quadPlaces(loaded), palette, mark))
  }

  #addLoads(view: SpaceView, { palette, mark, member, levels }: SpaceLook): void {
    if (!member || view.loads.length === 0) return
    const tallest = ordinateHeight(levels, ballOf(this.#bars, view).radius)
    const material = new LineBasicMaterial({ color: markColour(palette, mark) })
    this.#world.add(segments(loadLines(view.loads, tallest), material, 3))
  }

  #addSupports(view: SpaceView, { palette }: SpaceLook): void {
    const size = 0.018 * ballOf(this.#bars, view).radius
    const cone = new ConeGeometry(size, 1.6 * size, 4).rotateX(Math.PI / 2).rotateZ(Math.PI / 4)
    const signs = new InstancedMesh(cone, new MeshLambertMaterial({ color: palette.quiet }), view.supports.length)
    view.supports.forEach(({ at: [x, y, z] }, i) =>
      signs.setMatrixAt(i, new Matrix4().makeTranslation(x, y, z - 0.8 * size)),
    )
    this.#world.add(signs)
  }

  /** Levels by name at the west side, and north. */
  #addNames({ palette, levels, font }: SpaceLook): void {
    const { center, radius } = this.#ball
    const box = this.#box()
    if (box.isEmpty()) return
    const apart = namedLevels(levels, 0.06 * radius)
    for (const { name, z } of apart)
      this.#world.add(nameAt([box.min.x, box.min.y - 0.03 * radius, z], name, palette, font))
    const [x, y, z] = [box.max.x + 0.12 * radius, center.y, box.min.z]
    const [from, to]: readonly [Point3, Point3] = [
      [x, y - 0.12 * radius, z],
      [x, y + 0.12 * radius, z],
    ]
    const barb = 0.04 * radius
    const arrow = [...from, ...to, x - barb / 2, to[1] - barb, z, ...to, x + barb / 2, to[1] - barb, z, ...to]
    this.#world.add(segments(Float32Array.from(arrow), new LineBasicMaterial({ color: palette.quiet }), 1))
    this.#world.add(nameAt([x, to[1] + 0.05 * radius, z], 'N', palette, font))
  }
}
