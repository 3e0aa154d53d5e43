<?php

declare(strict_types=1);

namespace Gravik\Tests\Support;

use Gravik\Breakdown\Breakdown;
use Gravik\CoreException;
use Gravik\Formats\BreakdownJson;

/**
 * Figures of a room as they are today, in core/tests/Corpus/figures: a small change to a rule shows as a line that differs. What is
 * right is for other tests to say; these say what else has changed. GRAVIK_FREEZE=1 writes them anew, to be read in the diff.
 */
final class Frozen
{
    private const LONGEST = 150;

    private static int $places = 6;

    /**
     * @param array<string, \Closure(): mixed> $figures by what they are about
     * @param int                              $places  to which fractions are told
     */
    public static function hold(string $room, array $figures, int $places = 6): void
    {
        self::$places = $places;
        $lines = [];
        foreach ($figures as $about => $figure) {
            $told = self::tell($figure);
            $short = mb_strlen($told) > self::LONGEST ? mb_substr($told, 0, self::LONGEST).'…' : $told;
            $lines[] = sprintf('%s | %s | %08x', $about, strtr($short, ["\n" => '⏎']), crc32($told));
        }
        $file = dirname(__DIR__)."/Corpus/figures/{$room}.txt";
        if (getenv('GRAVIK_FREEZE') === '1') {
            file_put_contents($file, implode("\n", $lines)."\n");
        }

        expect($lines)->toBe(explode("\n", trim((string) file_get_contents($file))));
    }

    /** Every field of a document used, with two passes, figures, moves and a band; its grips need no common top. */
    public static function full(): Breakdown
    {
        $document = Examples::full();
        foreach ($document['lines'] as &$line) {
            $line['wishes']['keepTop'] = false;
            $line['wishes']['bass'] = 'free';
        }

        return (new BreakdownJson())->read($document);
    }

    /** @return array<string, Breakdown> some of the frozen documents of version 1, by their number */
    public static function documents(int $every): array
    {
        $lines = explode("\n", trim((string) gzdecode((string) file_get_contents(dirname(__DIR__).'/Corpus/version-1.jsonl.gz'))));
        $documents = [];
        for ($number = 0; $number < count($lines); $number += $every) {
            $documents["document {$number}"] = (new BreakdownJson())->read(json_decode($lines[$number], true)['document']);
        }

        return $documents;
    }

    /** A value as text, fields and all: fractions to as many places as are asked for. */
    private static function tell(mixed $value): string
    {
        return match (true) {
            $value instanceof \Closure => self::asked($value),
            is_float($value) => (string) (is_finite($value) ? round($value, self::$places) + 0.0 : $value),
            is_bool($value) => $value ? 'yes' : 'no',
            $value === null => '–',
            is_scalar($value) => (string) $value,
            $value instanceof \BackedEnum => (string) $value->value,
            $value instanceof \UnitEnum => $value->name,
            is_array($value) && array_is_list($value) => '['.implode(' ', array_map(self::tell(...), $value)).']',
            is_array($value) => '{'.implode(' ', array_map(
                static fn (int|string $key, mixed $each): string => "{$key}:".self::tell($each),
                array_keys($value),
                $value,
            )).'}',
            is_object($value) && preg_match(
                '/^Gravik.(Pitch|Harmony)/',
                $value::class,
            ) === 1 && method_exists($value, 'text') => $value->text(),
            is_object($value) => '('.self::tell(array_values(get_object_vars($value))).')',
            default => get_debug_type($value),
        };
    }

    private static function asked(\Closure $figure): string
    {
        try {
            return self::tell($figure());
        } catch (CoreException $refused) {
            return 'refused: '.$refused->getMessage();
        }
    }
}
