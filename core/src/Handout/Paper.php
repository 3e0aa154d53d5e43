<?php

declare(strict_types=1);

namespace Gravik\Handout;

/** What the page is printed on. */
enum Paper: string
{
    case A4 = 'a4';
    case Letter = 'letter';

    public const MARGIN = 48.0;

    /** @return array{float, float} width and height in px, 96 an inch */
    public function size(): array
    {
        return match ($this) {
            self::A4 => [794.0, 1123.0],
            self::Letter => [816.0, 1056.0],
        };
    }

    /** As style sheets name it. */
    public function css(): string
    {
        return match ($this) {
            self::A4 => 'A4 portrait',
            self::Letter => 'letter portrait',
        };
    }
}
