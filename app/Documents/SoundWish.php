<?php

declare(strict_types=1);

namespace App\Documents;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Time\Tempo;

/** Who of the band is heard in a sound file, and how fast it goes. */
final readonly class SoundWish
{
    public const ALL = 'all';

    /** What a student plays to. */
    public const WITHOUT_GUITAR = 'without-guitar';

    /** @param ?list<Instrument> $parts null for all */
    private function __construct(public ?array $parts, public ?Tempo $tempo) {}

    /**
     * @param string $heard one of choices()
     * @param ?float $bpm   null for the song's own
     */
    public static function of(string $heard, ?float $bpm = null): self
    {
        return new self(match ($heard) {
            self::ALL, '' => null,
            self::WITHOUT_GUITAR => array_values(array_filter(
                Instrument::cases(),
                static fn (Instrument $each): bool => $each !== Instrument::Guitar,
            )),
            default => [Instrument::from($heard)],
        }, $bpm === null ? null : new Tempo($bpm));
    }

    /** @return list<string> */
    public static function choices(): array
    {
        return [self::ALL, self::WITHOUT_GUITAR, ...array_column(Instrument::cases(), 'value')];
    }

    /** @return list<array{id: string, words: string}> what can be heard of this song */
    public static function offered(Breakdown $song): array
    {
        $played = array_unique(array_map(static fn (BandPart $part): string => $part->instrument->value, $song->parts));
        $alone = array_map(
            static fn (string $each): array => ['id' => $each, 'words' => Instrument::from($each)->words().' alone'],
            array_values($played),
        );

        return [
            ['id' => self::ALL, 'words' => 'the whole band'],
            ...(count($played) > 1 ? [['id' => self::WITHOUT_GUITAR, 'words' => 'all but the guitar'], ...$alone] : []),
        ];
    }
}
