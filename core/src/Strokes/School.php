<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Strokes\Failure\StrokeChoiceUnknown;

/** How directions are given to strokes. All are played by somebody; none is the only right one. */
enum School: string
{
    case Pendulum = 'pendulum';
    case AllDown = 'all-down';
    case DownDownUp = 'down-down-up';
    case DownUpUp = 'down-up-up';
    case Alternate = 'alternate';
    case ThumbFingers = 'thumb-fingers';
    case PickFingers = 'pick-fingers';

    public static function parse(string $typed): self
    {
        return self::tryFrom($typed)
            ?? throw new StrokeChoiceUnknown('picking school', $typed, implode(', ', array_column(self::cases(), 'value')));
    }

    /** As it stands on the screen. */
    public function words(): string
    {
        return match ($this) {
            self::Pendulum => 'pendulum',
            self::AllDown => 'all down',
            self::DownDownUp => 'down, down, up',
            self::DownUpUp => 'down, up, up',
            self::Alternate => 'strict alternate',
            self::ThumbFingers => 'thumb and fingers',
            self::PickFingers => 'pick and fingers',
        };
    }

    /** Whether the hand rocks on through slots that are not played. */
    public function passesThroughAir(): bool
    {
        return $this === self::Pendulum;
    }
}
