<?php

declare(strict_types=1);

namespace Gravik\Neck\Grip;

use Gravik\Neck\Failure\NeckChoiceUnknown;

/** The kinds of grip a teacher asks for by name. */
enum GripKind: string
{
    case Power = 'power';
    case TriadRoot = 'triad-root';
    case TriadFirst = 'triad-first';
    case TriadSecond = 'triad-second';
    case Shell = 'shell';
    case GuideTones = 'guide-tones';
    case GuideTonesAndColour = 'guide-tones-and-colour';
    case MiddleStrings = 'middle-strings';
    case Slash = 'slash';
    case Barre = 'barre';
    case OpenBarre = 'open-barre';
    case DoubleStop = 'double-stop';
    case Pedal = 'pedal';

    public static function parse(string $typed): self
    {
        return self::tryFrom($typed)
            ?? throw new NeckChoiceUnknown('kind of grip', $typed, implode(', ', array_column(self::cases(), 'value')));
    }

    /** As it stands on the screen. */
    public function words(): string
    {
        return match ($this) {
            self::Power => 'power chord',
            self::TriadRoot => 'triad, root lowest',
            self::TriadFirst => 'triad, 3rd lowest',
            self::TriadSecond => 'triad, 5th lowest',
            self::Shell => 'shell: root, 3, 7',
            self::GuideTones => 'guide tones alone',
            self::GuideTonesAndColour => 'guide tones, 9 or 13 on top',
            self::MiddleStrings => 'four middle strings',
            self::Slash => 'another note in the bass',
            self::Barre => 'barre grip',
            self::OpenBarre => 'one finger or all open',
            self::DoubleStop => 'double stop: 3rd, 4th or 6th',
            self::Pedal => 'open string held under or over',
        };
    }
}
