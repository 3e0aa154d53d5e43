<?php

declare(strict_types=1);

namespace App\School;

/** Names of students, one a line, as a table program or a hand writes them: the first column counts, a head line does not. */
final readonly class NameList
{
    public const MOST = 10_000;

    private const LONGEST = 80;

    /**
     * @param list<string>                       $names
     * @param list<array{line: int, says: string}> $problems lines that are left out, counted from 1
     */
    private function __construct(public array $names, public array $problems) {}

    public static function read(string $text): self
    {
        $names = $problems = $seen = [];
        $lines = explode("\n", strtr(mb_scrub($text), ["\r\n" => "\n", "\r" => "\n", "\xEF\xBB\xBF" => '']));
        foreach ($lines as $place => $line) {
            if (trim($line) === '' || ($place === 0 && preg_match('/^"?names?"?\s*([,;\t]|$)/i', trim($line)) === 1)) {
                continue;
            }
            $name = trim(str_getcsv($line, self::separator($line), '"', '')[0] ?? '');
            $says = match (true) {
                $name === '' => 'there is no name in its first column',
                mb_strlen($name) > self::LONGEST => 'the name is longer than 80 letters',
                substr_count($line, '"') % 2 === 1 => 'a quotation mark is not closed',
                isset($seen[$name]) => "the name stands in line {$seen[$name]} already",
                count($names) >= self::MOST => sprintf('more than %s names at once', number_format(self::MOST)),
                default => null,
            };
            if ($says !== null) {
                $problems[] = ['line' => $place + 1, 'says' => $says];

                continue;
            }
            $seen[$name] = $place + 1;
            $names[] = $name;
        }

        return new self($names, $problems);
    }

    private static function separator(string $line): string
    {
        return str_contains($line, "\t") ? "\t" : (str_contains($line, ';') ? ';' : ',');
    }
}
