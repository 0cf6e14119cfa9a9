import { mkdirSync, writeFileSync } from 'node:fs';
import { layOutBody } from '../core/src/body/skeleton.ts';
import { drawBody, fitFrame } from '../core/src/body/figure/draw.ts';
import { fullPose, SHAPE_FAMILIES } from '../core/src/body/shapes/index.ts';
