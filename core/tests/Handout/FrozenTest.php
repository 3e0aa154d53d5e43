<?php

declare(strict_types=1);

use Gravik\Handout\HandoutLayout;
use Gravik\Handout\HandoutWishes;
use Gravik\Handout\Page;
use Gravik\Handout\Paper;
use Gravik\Handout\Part;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Frozen;

it('draws pages and their parts as it did', function (): void {
    $songs = [
        'every field' => Frozen::full(),
        'swung' => Examples::breakdown(['feel' => Examples::swing(1.7), 'company' => 'with-bass'], 'X.c.xgx.'),
        'in three' => Examples::breakdown(['meter' => '3/4', 'capo' => 2], 'x.x.c.'),
    ];
    $parts = Part::cases();
    $wishes = [
        'as usual' => new HandoutWishes($parts),
        'turned' => new HandoutWishes(array_reverse($parts), Paper::Letter, false, true, true, 'Student A', 4),
        'large, shapes' => new HandoutWishes($parts, Paper::A4, true, false, true, '', 1, false),
        'large letter' => new HandoutWishes($parts, Paper::Letter, true, true),
    ];
    $figures = [];
    foreach ($songs as $song => $breakdown) {
        $onPaper = onPaper($breakdown);
        foreach ($wishes as $wish => $wished) {
            $figures["{$song}, {$wish}"] = static fn (): array => array_map(
                static fn (Page $page): array => [strlen($page->svg), $page->svg],
                (new HandoutLayout())->pages($onPaper, $wished),
            );
            foreach ($parts as $part) {
                $figures["{$song}, {$wish}, {$part->value}"] = static function () use ($onPaper, $wished, $part): array {
                    $svg = (new HandoutLayout())->piece($onPaper, $wished, $part)->svg;

                    return [strlen($svg), $svg];
                };
            }
        }
    }
    Frozen::hold('Handout', $figures);
});
