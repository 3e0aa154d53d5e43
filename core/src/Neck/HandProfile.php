<?php

declare(strict_types=1);

namespace Gravik\Neck;

/** What a hand can do. Reach is measured between outer fingertips, in mm along the neck (rule of thumb). */
enum HandProfile: string
{
    case Small = 'small';
    case Medium = 'medium';
    case Large = 'large';

    public static function parse(string $typed): self
    {
        return self::tryFrom($typed) ?? throw NeckException::choice('hand', $typed, 'small, medium, large');
    }

    public function reachMm(): float
    {
        return match ($this) {
            self::Small => 85.0,
            self::Medium => 100.0,
            self::Large => 115.0,
        };
    }
}
