<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

/** What can be heard side by side: the part as it is meant, and with one thing wrong. */
enum Flaw: string
{
    case Rushed = 'rushed';
    case Ringing = 'ringing';
    case Gapped = 'gapped';
    case Flat = 'flat';
    case Doubled = 'doubled';

    /** How the part sounds as it is meant. */
    public function good(): string
    {
        return match ($this) {
            self::Rushed => 'even off-beats',
            self::Ringing => 'let go in time',
            self::Gapped => 'joined',
            self::Flat => 'with its accents',
            self::Doubled => 'the thumb once',
        };
    }

    /** How it sounds with the flaw. */
    public function bad(): string
    {
        return match ($this) {
            self::Rushed => 'off-beats rushed',
            self::Ringing => 'left ringing',
            self::Gapped => 'with gaps',
            self::Flat => 'all strokes alike',
            self::Doubled => 'the thumb doubled',
        };
    }
}
