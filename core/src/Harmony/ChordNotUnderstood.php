<?php

declare(strict_types=1);

namespace Gravik\Harmony;

use Gravik\CoreException;
use Gravik\Quote;

final class ChordNotUnderstood extends \InvalidArgumentException implements CoreException
{
    /**
     * @param int     $at      character of the symbol, from 0, where reading stopped
     * @param ?string $nearest a symbol that can be read, where one is close
     */
    private function __construct(string $message, public readonly string $symbol, public readonly int $at, public readonly ?string $nearest)
    {
        parent::__construct($message);
    }

    public static function unknownEnding(string $symbol, int $at, ?string $nearest): self
    {
        return new self(sprintf(
            'In "%s" the part from character %d, "%s", is no chord ending we know.%s',
            Quote::short($symbol), $at + 1, Quote::short(mb_substr($symbol, $at)), self::offer($nearest),
        ), $symbol, $at, $nearest);
    }

    public static function noRoot(string $symbol, ?string $nearest): self
    {
        return new self(sprintf(
            '"%s" does not start with a note (A to G) or a numeral (I to VII).%s', Quote::short($symbol), self::offer($nearest),
        ), $symbol, 0, $nearest);
    }

    public static function contradiction(string $symbol, int $at, string $why, ?string $nearest): self
    {
        return new self(sprintf('"%s": %s.%s', Quote::short($symbol), $why, self::offer($nearest)), $symbol, $at, $nearest);
    }

    public static function noSuchDegree(int $number, int $alter): self
    {
        return new self(
            sprintf('There is no degree %d with %d signs: degrees run from 1 to 13, with at most two signs.', $number, $alter),
            '',
            0,
            null,
        );
    }

    public static function key(string $typed): self
    {
        return new self(
            sprintf('"%s" is no key. Write a note and major or minor, such as "D minor", "Am" or "E♭".', Quote::short($typed)),
            $typed,
            0,
            null,
        );
    }

    public static function scale(string $name): self
    {
        return new self(
            sprintf('"%s" is no scale for fills. Choose key, major-pentatonic or minor-pentatonic.', Quote::short($name)),
            $name,
            0,
            null,
        );
    }

    private static function offer(?string $nearest): string
    {
        return $nearest === null ? '' : sprintf(' Did you mean "%s"?', $nearest);
    }
}
