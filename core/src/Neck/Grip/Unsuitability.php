<?php

declare(strict_types=1);

namespace Gravik\Neck\Grip;

use Gravik\Neck\Company;

/**
 * What speaks against a grip in its company, apart from the hand: a sum of named parts, each a rule of thumb. It orders
 * grips beside the difficulty and forbids none.
 */
final readonly class Unsuitability
{
    /** interval in semitones => the lowest MIDI number its lower note should have; closer below turns to mud */
    private const LOW_LIMITS = [1 => 52, 2 => 51, 3 => 48, 4 => 46, 5 => 46, 6 => 46, 7 => 34, 8 => 41, 9 => 41, 10 => 41, 11 => 41];

    private const MUD = 0.8;

    private const MISSING_STRING = 0.5;

    private const SPARE_STRING = 0.25;

    private const BASS_PLAYERS_ROOM = 50;

    private const IN_THE_BASS_PLAYERS_ROOM = 0.4;

    /** Nobody else plays a bass: each semitone that the lowest note lies above D3. */
    private const WITHOUT_BASS_PER_SEMITONE = 0.12;

    /** Shells belong low, where guide tones speak: each semitone that the lowest note lies above G3. */
    private const HIGH_SHELL_PER_SEMITONE = 0.1;

    /** Beside others the part is choked again and again, and an open string cannot be let go by the fretting hand. */
    private const OPEN_IN_COMPANY = 0.9;

    /** For each open string and each fret that the hand lies above the third. */
    private const OPEN_FAR_FROM_THE_HAND = 0.3;

    private const UNISON = 0.6;

    /**
     * Whether an interval lies so low that it turns to mud.
     *
     * @param int $midi     its lower note
     * @param int $interval semitones
     */
    public static function isMuddy(int $midi, int $interval): bool
    {
        return $midi < (self::LOW_LIMITS[$interval] ?? 0);
    }

    /**
     * @param list<int|null> $frets low to high
     * @param list<int>      $openMidi
     *
     * @return array{thinness: float, mud: float, register: float, open: float, unison: float}
     */
    public function of(array $frets, array $openMidi, Company $company): array
    {
        $notes = [];
        $open = 0;
        $lowest = 99;
        foreach ($frets as $string => $fret) {
            if ($fret === null) {
                continue;
            }
            $notes[] = $openMidi[$string] + $fret;
            $open += $fret === 0 ? 1 : 0;
            $lowest = $fret > 0 && $fret < $lowest ? $fret : $lowest;
        }
        sort($notes);
        $mud = 0;
        $inTheBass = 0;
        foreach ($notes as $place => $note) {
            $interval = $place === 0 ? 0 : $note - $notes[$place - 1];
            $mud += $place > 0 && self::isMuddy($notes[$place - 1], $interval) ? 1 : 0;
            $inTheBass += $note < self::BASS_PLAYERS_ROOM ? 1 : 0;
        }
        [$fewest, $most] = match ($company) {
            Company::Alone => [5, 6],
            Company::WithBass => [4, 4],
            Company::Shell => [3, 3],
        };
        $count = count($notes);
        $bottom = $notes[0] ?? 0;

        return [
            'thinness' => self::MISSING_STRING * max(0, $fewest - $count) + self::SPARE_STRING * max(0, $count - $most),
            'mud' => self::MUD * $mud,
            'register' => match ($company) {
                Company::Alone => self::WITHOUT_BASS_PER_SEMITONE * max(0, $bottom - 50),
                Company::WithBass => self::IN_THE_BASS_PLAYERS_ROOM * $inTheBass,
                Company::Shell => self::IN_THE_BASS_PLAYERS_ROOM * $inTheBass + self::HIGH_SHELL_PER_SEMITONE * max(0, $bottom - 55),
            },
            'open' => $open * (($company === Company::Alone ? 0.0 : self::OPEN_IN_COMPANY) + ($lowest === 99 ? 0.0 : self::OPEN_FAR_FROM_THE_HAND * max(0, $lowest - 3))),
            'unison' => self::UNISON * ($count - count(array_unique($notes))),
        ];
    }
}
