<?php

declare(strict_types=1);

namespace Gravik\Handout;

use Gravik\Handout\Failure\HandoutNotPossible;
use Gravik\Handout\Internal\ChartBlocks;
use Gravik\Handout\Internal\FigureBlocks;
use Gravik\Handout\Internal\GripBlocks;
use Gravik\Handout\Internal\HandBlocks;
use Gravik\Handout\Internal\HeadBlocks;
use Gravik\Handout\Internal\Ink;
use Gravik\Handout\Internal\StageBlocks;
use Gravik\Handout\Internal\WordBlocks;

/**
 * Lays a song out on pages for the music stand: pieces one under the other, none of them cut. Where it saves a side, all of it
 * is drawn a little smaller, down to four fifths.
 */
final readonly class HandoutLayout
{
    private const SMALLER = [1.0, 0.94, 0.88, 0.82];

    private const LARGE = 1.4;

    private const FOOT = 26.0;

    /** @return non-empty-list<Page> */
    public function pages(Song $song, HandoutWishes $wishes): array
    {
        [$width, $height] = $wishes->paper->size();
        $room = $height - 2 * Paper::MARGIN - self::FOOT;
        $best = null;
        foreach ($wishes->large ? [self::LARGE] : self::SMALLER as $scale) {
            $pages = self::broken($this->blocks($song, $wishes, ($width - 2 * Paper::MARGIN) / $scale), $room / $scale);
            if ($best === null || count($pages) < count($best[0])) {
                $best = [$pages, $scale];
            }
            if (count($best[0]) === 1) {
                break;
            }
        }

        return self::drawn($best[0], $song, $wishes, $best[1]);
    }

    /**
     * One part by itself, as wide as the page and as high as it is: a drawing to put somewhere else.
     *
     * @throws HandoutException where the song has nothing of it
     */
    public function piece(Song $song, HandoutWishes $wishes, Part $part): Page
    {
        [$width] = $wishes->paper->size();
        $blocks = self::ofPart($part, $song, $wishes, $width - 2 * Paper::MARGIN);
        if ($blocks === []) {
            throw new HandoutNotPossible("“{$part->words()}” has nothing of this song to draw.");
        }
        $height = 2 * Paper::MARGIN + array_sum(array_map(static fn (Block $block): float => $block->height, $blocks));

        return self::sheet($width, $height, "{$song->breakdown->title}, {$part->words()}", self::stacked($blocks, 1.0));
    }

    /** @return non-empty-list<Block> */
    private function blocks(Song $song, HandoutWishes $wishes, float $width): array
    {
        $blocks = HeadBlocks::of($song, $wishes, $width);
        foreach ($wishes->parts as $part) {
            array_push($blocks, ...self::ofPart($part, $song, $wishes, $width));
        }

        return $blocks;
    }

    /** @return list<Block> */
    private static function ofPart(Part $part, Song $song, HandoutWishes $wishes, float $width): array
    {
        $blocks = match ($part) {
            Part::Chart => ChartBlocks::of($song, $width),
            Part::Grips => GripBlocks::of($song, $wishes, $width),
            Part::Hand => HandBlocks::of($song, $wishes, $width),
            Part::Figures => FigureBlocks::of($song, $width),
            Part::Stages => StageBlocks::of($song, $width),
            Part::Passes => WordBlocks::passes($song, $width),
            Part::Notes => WordBlocks::notes($song, $width),
            Part::Marks => WordBlocks::marks($song, $width),
            Part::Cautions => WordBlocks::cautions($song, $width),
        };

        return array_map(static fn (Block $block): Block => new Block($block->height, $block->svg, $block->withNext, $part), $blocks);
    }

    /**
     * @param non-empty-list<Block> $blocks
     *
     * @return non-empty-list<non-empty-list<Block>> page by page
     */
    private static function broken(array $blocks, float $room): array
    {
        $pages = [];
        $page = [];
        $used = 0.0;
        foreach ($blocks as $place => $block) {
            // A heading goes along with what stands under it.
            $needed = $block->height;
            for ($next = $place; $blocks[$next]->withNext && isset($blocks[$next + 1]); $next++) {
                $needed += $blocks[$next + 1]->height;
            }
            if ($page !== [] && $used + $needed > $room) {
                $pages[] = $page;
                [$page, $used] = [[], 0.0];
            }
            $page[] = $block;
            $used += $block->height;
        }

        return [...$pages, $page];
    }

    /**
     * @param non-empty-list<non-empty-list<Block>> $pages
     *
     * @return non-empty-list<Page>
     */
    private static function drawn(array $pages, Song $song, HandoutWishes $wishes, float $scale): array
    {
        [$width, $height] = $wishes->paper->size();

        return array_map(static function (array $blocks, int $number) use ($pages, $song, $width, $height, $scale): Page {
            $foot = $height - Paper::MARGIN + 6;
            $side = sprintf('page %d of %d', $number + 1, count($pages));

            return self::sheet(
                $width,
                $height,
                $song->breakdown->title.', '.$side,
                self::stacked($blocks, $scale)
                    .Ink::line(Paper::MARGIN, $foot - 14, $width - Paper::MARGIN, $foot - 14, 0.8, '#777')
                    .Ink::text(Paper::MARGIN, $foot, 'Count aloud before you play. Stop at pain, numbness or tingling.', 10.5, fill: '#333')
                    .Ink::text($width - Paper::MARGIN, $foot, $side, 10.5, anchor: 'end', fill: '#333'),
            );
        }, $pages, array_keys($pages));
    }

    /** @param list<Block> $blocks one under the other */
    private static function stacked(array $blocks, float $scale): string
    {
        $y = 0.0;
        $body = '';
        $part = null;
        foreach ($blocks as $block) {
            $drawn = Ink::moved(0, $y, $block->svg);
            // What belongs together can be pressed together.
            $body .= $block->part === $part ? $drawn : ($part === null ? '' : '</g>')
                .($block->part === null ? '' : sprintf('<g data-part="%s">', $block->part->value)).$drawn;
            $part = $block->part;
            $y += $block->height;
        }
        $body .= $part === null ? '' : '</g>';

        return sprintf(
            '<g transform="translate(%s %s) scale(%s)">%s</g>',
            Ink::n(Paper::MARGIN),
            Ink::n(Paper::MARGIN),
            Ink::n($scale),
            $body,
        );
    }

    private static function sheet(float $width, float $height, string $label, string $body): Page
    {
        return new Page(sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %1$s %2$s" width="%1$s" height="%2$s" '
                .'font-family="\'Gravik Hand\', sans-serif" role="img" aria-label="%3$s">'
                .'<defs><pattern id="hatch" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">'
                .'<rect width="4" height="4" fill="#fff"/><line x1="0" y1="0" x2="0" y2="4" stroke="#000" stroke-width="2"/></pattern></defs>'
                .'<rect width="%1$s" height="%2$s" fill="#fff"/>%4$s</svg>',
            Ink::n($width),
            Ink::n($height),
            htmlspecialchars($label, ENT_XML1 | ENT_QUOTES),
            $body,
        ));
    }
}
