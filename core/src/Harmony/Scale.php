<?php

declare(strict_types=1);

namespace Gravik\Harmony;

use Gravik\Harmony\Failure\ScaleUnknown;

/** The notes of a key, or five of them. */
final readonly class Scale
{
    private const MAJOR_PENTATONIC = [0, 2, 4, 7, 9];

    private const MINOR_PENTATONIC = [0, 3, 5, 7, 10];

    /** @param list<int> $steps semitones above the tonic */
    private function __construct(private int $tonic, private array $steps) {}

    public static function ofKey(Key $key): self
    {
        return new self($key->tonic->pitchClass(), $key->mode->steps());
    }

    public static function majorPentatonic(Key $key): self
    {
        return new self($key->tonic->pitchClass(), self::MAJOR_PENTATONIC);
    }

    public static function minorPentatonic(Key $key): self
    {
        return new self($key->tonic->pitchClass(), self::MINOR_PENTATONIC);
    }

    /** @throws ChordNotUnderstood */
    public static function named(string $name, Key $key): self
    {
        return match ($name) {
            'key' => self::ofKey($key),
            'major-pentatonic' => self::majorPentatonic($key),
            'minor-pentatonic' => self::minorPentatonic($key),
            default => throw new ScaleUnknown($name),
        };
    }

    /** @param int $pitchClass 0–11 */
    public function has(int $pitchClass): bool
    {
        return in_array(($pitchClass - $this->tonic + 12) % 12, $this->steps, true);
    }
}
