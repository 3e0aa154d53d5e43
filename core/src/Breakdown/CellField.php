<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** What a cell may name. */
enum CellField: string
{
    case Role = 'role';
    case Pattern = 'pattern';
    case Line = 'line';
    case Level = 'level';
    case Groove = 'groove';
    case Texture = 'texture';
    case Dynamic = 'dynamic';
    case Note = 'note';
}
