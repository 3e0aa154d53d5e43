<?php

declare(strict_types=1);

namespace Gravik\Strokes;

enum LengthKind
{
    case UntilNext;
    case UntilChange;
    case InTicks;
    case ShareOfSlot;
}
