<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

/** What a take can show. */
enum FindingKind: string
{
    case TooFew = 'too-few';
    /** another tempo than was asked */
    case Tempo = 'tempo';
    /** another part than was asked */
    case Other = 'other';
    /** all of it by about the same, and the device was never measured */
    case Device = 'device';
    case Placement = 'placement';
    case Swing = 'swing';
    case Slot = 'slot';
    case Looseness = 'looseness';
    case Missed = 'missed';
    case Extra = 'extra';
    case Drift = 'drift';
    case Direction = 'direction';
    case Muting = 'muting';
    case Length = 'length';
    /** what may be off, said by too few strokes */
    case Unsure = 'unsure';
    /** what sits, to be kept as an anchor */
    case Holds = 'holds';
}
