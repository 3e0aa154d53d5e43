<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

/** What can be questionable about a pattern, alone or with the song it is played in. */
enum WarningKind: string
{
    case BreaksTheSwing = 'breaks-the-swing';
    case SameDirection = 'same-direction';
    case TotalRate = 'total-rate';
    case ShortNote = 'short-note';
    case ThumbDoubles = 'thumb-doubles';
    case ThumbMissing = 'thumb-missing';
    case TupletsOverlap = 'tuplets-overlap';
    case NoBendBefore = 'no-bend-before';
    case SilentStrings = 'silent-strings';
    case BelowTheNut = 'below-the-nut';
    case ResetAccent = 'reset-accent';
}
