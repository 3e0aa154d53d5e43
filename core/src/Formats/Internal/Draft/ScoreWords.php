<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\CoreException;
use Gravik\Formats\Internal\Score\HarmonyXml;
use Gravik\Harmony\ChordSymbol;
use SimpleXMLElement;

/**
 * What a score says in its own words, in ours.
 *
 * @internal used by ScoreBars
 */
final readonly class ScoreWords
{
    private const SIGNS = [-2 => '𝄫', -1 => '♭', 0 => '', 1 => '♯', 2 => '𝄪'];

    private const MAJOR = ['C♭', 'G♭', 'D♭', 'A♭', 'E♭', 'B♭', 'F', 'C', 'G', 'D', 'A', 'E', 'B', 'F♯', 'C♯'];

    private const MINOR = ['A♭', 'E♭', 'B♭', 'F', 'C', 'G', 'D', 'A', 'E', 'B', 'F♯', 'C♯', 'G♯', 'D♯', 'A♯'];

    /** kind => ending, beyond those that we write */
    private const KINDS = ['augmented-seventh' => '7♯5', 'pedal' => ''];

    /** @return list<SimpleXMLElement> */
    public static function all(SimpleXMLElement $in, string $path): array
    {
        $found = $in->xpath($path);

        return is_array($found) ? array_values($found) : [];
    }

    /** A key by its signs, −7 to 7; null for more. */
    public static function key(int $fifths, bool $minor): ?string
    {
        $tonic = ($minor ? self::MINOR : self::MAJOR)[$fifths + 7] ?? null;

        return $tonic === null ? null : $tonic.($minor ? ' minor' : ' major');
    }

    public static function note(string $step, int $alter): string
    {
        return strtoupper($step).(self::SIGNS[$alter] ?? '');
    }

    /** The chord of a harmony as we write it; '' for none at all, null where it has no name here. */
    public static function chord(SimpleXMLElement $harmony): ?string
    {
        $kind = trim((string) $harmony->kind);
        if ($kind === 'none') {
            return '';
        }
        $root = self::note((string) $harmony->root->{'root-step'}, (int) ($harmony->root->{'root-alter'} ?? 0));
        $bass = isset($harmony->bass->{'bass-step'})
            ? '/'.self::note((string) $harmony->bass->{'bass-step'}, (int) ($harmony->bass->{'bass-alter'} ?? 0))
            : '';
        $ending = array_flip(HarmonyXml::KINDS)[$kind] ?? self::KINDS[$kind] ?? null;
        $paper = (string) ($harmony->kind['text'] ?? '');
        // What it is called on paper says most; where that is no chord, its kind and its degrees do.
        $says = $paper !== '' || (isset($harmony->kind['text']) && $kind === 'major') ? [$paper] : [];
        foreach ([...$says, ...$ending === null ? [] : [$ending.self::degrees($harmony), $ending]] as $told) {
            try {
                return ChordSymbol::parse($root.$told.$bass)->text();
            } catch (CoreException) {
                continue;
            }
        }

        return null;
    }

    private static function degrees(SimpleXMLElement $harmony): string
    {
        $told = '';
        foreach ($harmony->degree ?? [] as $degree) {
            $alter = (int) $degree->{'degree-alter'};
            $value = (int) $degree->{'degree-value'};
            $told .= match (true) {
                (string) $degree->{'degree-type'} === 'subtract' => "no{$value}",
                $value === 7 => $alter === 0 ? 'maj7' : '7',
                $alter === 0 => "add{$value}",
                default => (self::SIGNS[$alter] ?? '').$value,
            };
        }

        return $told;
    }
}
