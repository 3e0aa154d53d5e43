<?php

declare(strict_types=1);

namespace App\Documents;

use App\Compute\VoicedForms;
use Gravik\Breakdown\Breakdown;
use Gravik\Handout\HandoutLayout;
use Gravik\Handout\HandoutWishes;
use Gravik\Handout\Page;
use Gravik\Handout\Song;
use Gravik\Lesson\Steps\LessonPlanner;
use Gravik\Performance\Performer;
use Illuminate\Support\Facades\View;

/** The handout of a song: its pages, and the whole of them as one file that needs nothing from anywhere. */
final readonly class Handouts
{
    /** The signs are drawn for another face: each is brought to the height of ours. */
    private const FACES = [
        ['Gravik Hand', 400, 'hand-400', ''],
        ['Gravik Hand', 700, 'hand-700', ''],
        ['Gravik Signs', 700, 'signs', ' size-adjust: 128%; unicode-range: U+266D-266E;'],
        ['Gravik Signs', 700, 'signs', ' size-adjust: 84%; unicode-range: U+266F;'],
    ];

    public function __construct(
        private VoicedForms $voiced,
        private Performer $performer,
        private LessonPlanner $planner,
        private HandoutLayout $layout,
    ) {}

    /** @return non-empty-list<Page> */
    public function pages(Breakdown $breakdown, HandoutWishes $wishes): array
    {
        return $this->layout->pages($this->song($breakdown), $wishes);
    }

    /** The first side; where one part alone is wished, that part and no page around it. */
    public function drawing(Breakdown $breakdown, HandoutWishes $wishes): string
    {
        return count($wishes->parts) === 1
            ? $this->layout->piece($this->song($breakdown), $wishes, $wishes->parts[0])->svg
            : $this->pages($breakdown, $wishes)[0]->svg;
    }

    /** The print page: the handout itself. */
    public function html(Breakdown $breakdown, HandoutWishes $wishes): string
    {
        return View::make('handout', [
            'title' => $breakdown->title,
            'size' => $wishes->paper->css(),
            'faces' => self::faces(),
            'pages' => array_map(static fn (Page $page): string => $page->svg, $this->pages($breakdown, $wishes)),
        ])->render();
    }

    private function song(Breakdown $breakdown): Song
    {
        $voiced = $this->voiced->all($breakdown);

        return new Song(
            $breakdown,
            $this->performer->perform($breakdown, null, $voiced),
            $this->planner->plan($breakdown, $voiced),
            $voiced,
        );
    }

    /** @return list<array{family: string, weight: int, woff2: string, more: string}> our faces, within the page */
    private static function faces(): array
    {
        $faces = [];
        foreach (self::FACES as [$family, $weight, $file, $more]) {
            $path = public_path("build/handout/{$file}.woff2");
            if (is_file($path)) {
                $faces[] = [
                    'family' => $family,
                    'weight' => $weight,
                    'woff2' => base64_encode((string) file_get_contents($path)),
                    'more' => $more,
                ];
            }
        }

        return $faces;
    }
}
