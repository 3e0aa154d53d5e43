<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use SimpleXMLElement;

/**
 * How the notes of a stroke are come to and left, by the strings a score tells them on.
 *
 * @internal used by ScoreStroke
 */
final readonly class ScoreMoves
{
    private const FARTHEST = 12;

    /** Those it has on some string, however it is come to: what is not read of them is counted. */
    private const SIGNS = 'notations/slide[@type="stop"] | notations/glissando[@type="stop"] | notations/technical/hammer-on[@type="stop"]'
        .' | notations/technical/pull-off[@type="stop"] | notations/technical/bend';

    /**
     * @param list<SimpleXMLElement> $notes  that begin together, of all staves
     * @param list<SimpleXMLElement> $before small notes before them
     *
     * @return array<int, Ornament> by string
     */
    public static function of(array $notes, array $before): array
    {
        $from = [];
        foreach ($before as $small) {
            [$string, $fret] = self::place($small);
            if ($string !== null) {
                $from[$string] = $fret;
            }
        }
        $falls = self::anyHas($notes, 'notations/articulations/falloff');
        $rises = self::anyHas($notes, 'notations/articulations/doit');
        $moves = [];
        foreach ($notes as $note) {
            [$string, $fret] = self::place($note);
            if ($string === null) {
                continue;
            }
            $kind = match (true) {
                ScoreWords::all($note, 'notations/technical/bend') !== [] => self::bend($note),
                isset($from[$string]) => self::cameBy($note),
                ScoreWords::all($note, 'notations/ornaments/wavy-line[@type="start"]') !== [] => OrnamentKind::Vibrato,
                $falls, $rises => OrnamentKind::SlideOut,
                default => null,
            };
            if ($kind !== null) {
                $usual = (int) $kind->usualFrets();
                $frets = match ($kind) {
                    OrnamentKind::Bend, OrnamentKind::BendRelease, OrnamentKind::Bent, OrnamentKind::Release => (int) round(
                        (float) ScoreWords::all($note, 'notations/technical/bend/bend-alter')[0],
                    ),
                    OrnamentKind::SlideOut => $falls ? $usual : -$usual,
                    default => isset($from[$string]) ? $from[$string] - $fret : 0,
                };
                $moves[$string] = new Ornament($kind, max(-self::FARTHEST, min(self::FARTHEST, $frets)));
            }
        }

        return $moves;
    }

    /**
     * Whether the notes of a stroke tell of a move.
     *
     * @param list<SimpleXMLElement> $notes
     */
    public static function areTold(array $notes): bool
    {
        return self::anyHas($notes, self::SIGNS);
    }

    /** @return array{?int, int} string and fret; null where it has none */
    private static function place(SimpleXMLElement $note): array
    {
        foreach (ScoreWords::all($note, 'notations/technical') as $technical) {
            if (isset($technical->string, $technical->fret)) {
                return [(int) $technical->string, (int) $technical->fret];
            }
        }

        return [null, 0];
    }

    private static function bend(SimpleXMLElement $note): OrnamentKind
    {
        $struckBent = ScoreWords::all($note, 'notations/technical/bend/pre-bend') !== [];
        $letDown = ScoreWords::all($note, 'notations/technical/bend/release') !== [];

        return match (true) {
            $struckBent && $letDown => OrnamentKind::Release,
            $struckBent => OrnamentKind::Bent,
            $letDown => OrnamentKind::BendRelease,
            default => OrnamentKind::Bend,
        };
    }

    /** By what a note with a small one before it is come to. */
    private static function cameBy(SimpleXMLElement $note): OrnamentKind
    {
        return match (true) {
            ScoreWords::all($note, 'notations/technical/hammer-on') !== [] => OrnamentKind::HammerOn,
            ScoreWords::all($note, 'notations/technical/pull-off') !== [] => OrnamentKind::PullOff,
            ScoreWords::all($note, 'notations/slide | notations/glissando') !== [] => OrnamentKind::SlideIn,
            default => OrnamentKind::Grace,
        };
    }

    /** @param list<SimpleXMLElement> $notes */
    private static function anyHas(array $notes, string $path): bool
    {
        foreach ($notes as $note) {
            if (ScoreWords::all($note, $path) !== []) {
                return true;
            }
        }

        return false;
    }
}
