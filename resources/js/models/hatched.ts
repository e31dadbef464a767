import { Color, type MeshLambertMaterial } from 'three';

/** Pixels of the screen from one stroke to the next, and how wide one is. */
const GAP = 7;
const STROKE = 1.1;
/** How dark it is: what is cut is told by it, and does not hide its own edges. */
const INK = 0.6;
/** In shares of the depth of the picture. */
const NEARER = 0.0002;

/** Whether there is a cut: one for all bodies of a picture. */
export interface Cut {
  value: boolean;
}

interface Hatch {
  face: string;
  ink: string;
  /** Bodies that lie beside each other are hatched in different ways: 1 or -1. */
  way: number;
  /** Pixels of the picture for one of the screen. */
  fine: number;
}

/**
 * Hatches what is cut, as it is drawn on paper. Behind a cut the inside of a body is seen where, and only where, the cut goes through it:
 * its faces from behind are what is hatched, flat, whatever the light.
 */
export function hatched(material: MeshLambertMaterial, cut: Cut, { face, ink, way, fine }: Hatch): MeshLambertMaterial {
  const colour = (of: string) => ({ value: new Color(of).convertLinearToSRGB() });
  material.onBeforeCompile = (shader) => {
    Object.assign(shader.uniforms, {
      isCut: cut,
      cutFace: colour(face),
      cutInk: colour(ink),
      cutWay: { value: way },
      cutGap: { value: GAP * fine * Math.SQRT2 },
      cutStroke: { value: STROKE * fine * Math.SQRT2 },
    });
    shader.fragmentShader = `
      uniform bool isCut;
      uniform vec3 cutFace, cutInk;
      uniform float cutWay, cutGap, cutStroke;
      ${shader.fragmentShader.replace(
        '#include <dithering_fragment>',
        `#include <dithering_fragment>
        gl_FragDepth = gl_FragCoord.z;
        if (isCut && !gl_FrontFacing) {
          float along = mod(gl_FragCoord.x + cutWay * gl_FragCoord.y, cutGap);
          gl_FragColor.rgb = along < cutStroke ? mix(cutFace, cutInk, ${INK}) : cutFace;
          // Where another body begins at this very place, this one is still what is cut.
          gl_FragDepth -= ${NEARER};
        }`,
      )}`;
  };
  return material;
}
