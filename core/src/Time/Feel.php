<?php

declare(strict_types=1);

namespace Gravik\Time;

use Gravik\Time\Failure\FeelNotReadable;
use Gravik\Time\Failure\SwingOutOfRange;

/** How far the off-beats lean. A fixed feel keeps its ratio; one that follows the tempo is worked out from it. */
final readonly class Feel
{
    public const LOWEST = 0.7;

    public const HIGHEST = 3.0;

    /** A lean beyond this is heard as swing (rule of thumb). */
    public const SWINGS = 1.15;

    /** The short note of a swung pair does not go far below this (rule of thumb). */
    private const SHORT_NOTE_MS = 110.0;

    private const TOO_SHORT_MS = 80.0;

    private const NAMED = ['straight' => 1.0, 'light' => 1.3, 'triplet' => 2.0, 'shuffle' => 2.0, 'dotted' => 3.0];

    public function __construct(public FeelMode $mode, public float $ratio, public SwingUnit $unit)
    {
        if (! ($ratio >= self::LOWEST && $ratio <= self::HIGHEST)) {
            throw new SwingOutOfRange($ratio);
        }
    }

    public static function straight(): self
    {
        return new self(FeelMode::Fixed, 1.0, SwingUnit::Eighth);
    }

    public static function fixed(float $ratio, SwingUnit $unit = SwingUnit::Eighth): self
    {
        return new self(FeelMode::Fixed, $ratio, $unit);
    }

    /**
     * Reads a name (straight, light, triplet, shuffle, dotted, follows), a ratio ("2", "3:2") or a share of the pair
     * ("62 %"). A shuffle keeps its triplet at every tempo; "follows" leaves the ratio to the tempo.
     */
    public static function parse(string $typed, SwingUnit $unit = SwingUnit::Eighth): self
    {
        $word = mb_strtolower(trim($typed));
        if (isset(self::NAMED[$word])) {
            return self::fixed(self::NAMED[$word], $unit);
        }
        if (preg_match('/^follows( the tempo)?$/', $word) === 1) {
            return new self(FeelMode::FollowsTempo, 1.0, $unit);
        }
        if (preg_match('/^(\d+(?:[.,]\d+)?)\s*(?:(%)|:\s*(\d+(?:[.,]\d+)?))?$/', $word, $found) !== 1) {
            throw new FeelNotReadable($typed);
        }
        [$number, $to] = array_map(
            static fn (string $figure): float => (float) strtr($figure, [',' => '.']),
            [$found[1], $found[3] ?? '1'],
        );
        $percent = ($found[2] ?? '') === '%';
        if ($percent ? $number >= 100 : $to === 0.0) {
            throw new FeelNotReadable($typed);
        }

        return self::fixed(round($percent ? Swing::ratio($number / 100) : $number / $to, 3), $unit);
    }

    /** How much later than straight the second note of a pair sounds, ms: (p − 1/2) of the pair. */
    public function offBeatMs(Tempo $tempo): float
    {
        $ratio = $this->ratioAt($tempo);

        return (Swing::share($ratio) - 0.5) * $this->pairMs($tempo);
    }

    /** Whether the off-beats of eighths lean so far that it is heard as swing (rule of thumb). */
    public function swings(Tempo $tempo): bool
    {
        return $this->unit === SwingUnit::Eighth && $this->ratioAt($tempo) > self::SWINGS;
    }

    /** Long : short at this tempo. */
    public function ratioAt(Tempo $tempo): float
    {
        if ($this->mode === FeelMode::Fixed) {
            return $this->ratio;
        }

        return max(1.0, min(2.0, ($this->pairMs($tempo) - self::SHORT_NOTE_MS) / self::SHORT_NOTE_MS));
    }

    /** The short note of a pair in ms when it is too short to be felt as swing, else null. */
    public function tooShortMs(Tempo $tempo): ?float
    {
        $ratio = $this->ratioAt($tempo);
        $short = (1 - Swing::share($ratio)) * $this->pairMs($tempo);

        return $ratio > 1 && $short < self::TOO_SHORT_MS ? $short : null;
    }

    private function pairMs(Tempo $tempo): float
    {
        return 1000 * $tempo->beatSeconds() * ($this->unit === SwingUnit::Eighth ? 1 : 0.5);
    }
}
