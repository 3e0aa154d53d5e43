<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** How a stroke sounds. A chuck is damped by the fretting hand and has no pitch; a palm-mute keeps its pitch. */
enum Articulation: string
{
    case Ring = 'ring';
    case Short = 'short';
    case PalmMute = 'palm-mute';
    case Chuck = 'chuck';
    case Ghost = 'ghost';
}
