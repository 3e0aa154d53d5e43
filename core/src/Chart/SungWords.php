<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\WordsNotPossible;

/** What is sung from a bar of a section on. */
final readonly class SungWords
{
    /** @param int $bar of the section, from 0; those of its ending count on after its line */
    public function __construct(public int $bar, public string $text)
    {
        if ($bar < 0 || trim($text) === '' || mb_strlen($text) > 120) {
            throw new WordsNotPossible($bar, $text);
        }
    }
}
