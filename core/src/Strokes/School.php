<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** How directions are given to strokes. */
enum School: string
{
    case Pendulum = 'pendulum';
    case AllDown = 'all-down';

    public static function parse(string $typed): self
    {
        return self::tryFrom($typed) ?? throw StrokesException::choice('picking school', $typed, implode(', ', array_column(self::cases(), 'value')));
    }
}
