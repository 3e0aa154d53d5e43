<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

use Gravik\Listening\Failure\NotesNotReadable;

/** Which notes sounded when, moment by moment: enough to tell the chords from, and small enough to be kept and sent. */
final readonly class NotesHeard
{
    /** MIDI numbers: from the lowest string tuned down to where a guitar's harmonics begin to outnumber its notes. */
    public const LOWEST = 38;

    public const HIGHEST = 86;

    /** Seconds from one moment to the next. */
    public const STEP = 0.2;

    public const NOTES = self::HIGHEST - self::LOWEST + 1;

    /** A level is one of these signs: its root, in 63rds of the loudest. */
    private const SIGNS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz-_';

    /** @param list<string> $moments one sign a note from LOWEST on; the first moment lies half a step after the recording's beginning */
    private function __construct(private array $moments) {}

    /** @param list<list<float>> $levels of each moment, one a note from LOWEST on, 0 or more */
    public static function of(array $levels): self
    {
        $loudest = max([1e-12, ...array_map(static fn (array $moment): float => max([0.0, ...$moment]), $levels)]);

        return new self(array_map(static fn (array $moment): string => implode('', array_map(
            static fn (float $level): string => self::SIGNS[(int) round(63 * sqrt(max(0.0, $level) / $loudest))],
            $moment,
        )), $levels));
    }

    /**
     * Notes that are known, as a MIDI file has them.
     *
     * @param list<array{t: float, seconds: float, midi: int}> $notes
     */
    public static function sounding(array $notes): self
    {
        $last = max([0.0, ...array_map(static fn (array $note): float => $note['t'] + $note['seconds'], $notes)]);
        $levels = array_fill(0, (int) ceil($last / self::STEP), array_fill(0, self::NOTES, 0.0));
        foreach ($notes as ['t' => $t, 'seconds' => $seconds, 'midi' => $midi]) {
            if ($midi < self::LOWEST || $midi > self::HIGHEST) {
                continue;
            }
            foreach (range((int) floor($t / self::STEP), (int) floor(($t + $seconds) / self::STEP)) as $moment) {
                $within = min($t + $seconds, ($moment + 1) * self::STEP) - max($t, $moment * self::STEP);
                if ($within > 0 && isset($levels[$moment])) {
                    $levels[$moment][$midi - self::LOWEST] += $within;
                }
            }
        }

        return self::of($levels);
    }

    /** @throws NotesNotReadable */
    public static function unpack(string $packed): self
    {
        return strlen($packed) % self::NOTES === 0 && strspn($packed, self::SIGNS) === strlen($packed)
            ? new self($packed === '' ? [] : str_split($packed, self::NOTES))
            : throw new NotesNotReadable();
    }

    /** As one string, moment after moment. */
    public function packed(): string
    {
        return implode('', $this->moments);
    }

    /** How long the moments last together. */
    public function seconds(): float
    {
        return self::STEP * count($this->moments);
    }

    /**
     * @param list<array{float, float}> $spans seconds of the recording, from and until
     *
     * @return array<int, float> MIDI number => mean level there, 1 for the loudest note; all 0 in silence
     */
    public function over(array $spans): array
    {
        $sums = array_fill_keys(range(self::LOWEST, self::HIGHEST), 0.0);
        foreach ($spans as [$from, $until]) {
            $first = max(0, (int) round($from / self::STEP));
            for ($moment = $first, $last = max($first + 1, (int) round($until / self::STEP)); $moment < $last; $moment++) {
                foreach (str_split($this->moments[$moment] ?? str_repeat('0', self::NOTES)) as $note => $sign) {
                    $sums[self::LOWEST + $note] += ((int) strpos(self::SIGNS, $sign)) ** 2;
                }
            }
        }
        $loudest = max($sums);

        return $loudest <= 0 ? $sums : array_map(static fn (float $sum): float => $sum / $loudest, $sums);
    }
}
