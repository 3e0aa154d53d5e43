<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** The hand that ends the sound. */
enum StoppedBy: string
{
    case FrettingHand = 'fretting-hand';
    case PickHand = 'pick-hand';
}
