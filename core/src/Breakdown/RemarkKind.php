<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

enum RemarkKind: string
{
    case StaleFret = 'stale-fret';
    case OtherChord = 'other-chord';
    case NoHand = 'no-hand';
    case NotDiminished = 'not-what-it-says';
    case OutsideKey = 'outside-key';
    case OtherStrings = 'other-strings';
    case OffChord = 'off-chord';
}
