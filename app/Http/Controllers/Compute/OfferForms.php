<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\TurnaroundFitter;
use Gravik\Breakdown\FigureLibrary;
use Gravik\Chart\IntroLadder;
use Gravik\Chart\Turnaround;
use Gravik\Harmony\ChordSymbol;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'FormOffers', required: ['turnarounds', 'figures', 'ladders'], properties: [
    new OA\Property(property: 'turnarounds', type: 'array', items: new OA\Items(
        required: ['slug', 'name', 'why', 'back', 'home', 'coloured_back', 'coloured_home'],
        properties: [
            new OA\Property(property: 'slug', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'why', type: 'string'),
            new OA\Property(property: 'back', description: 'line that ends on V', type: 'string'),
            new OA\Property(property: 'home', description: 'line that ends on I', type: 'string'),
            new OA\Property(
                property: 'coloured_back',
                description: 'with a note that stays on top; null where none falls',
                type: 'string',
                nullable: true,
            ),
            new OA\Property(property: 'coloured_home', type: 'string', nullable: true),
        ],
        type: 'object',
    )),
    new OA\Property(property: 'figures', type: 'array', items: new OA\Items(required: ['slug', 'name', 'why', 'bars'], properties: [
        new OA\Property(property: 'slug', type: 'string'),
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'why', type: 'string'),
        new OA\Property(property: 'bars', type: 'integer'),
    ], type: 'object')),
    new OA\Property(property: 'ladders', type: 'array', items: new OA\Items(required: ['name', 'line', 'rungs'], properties: [
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'line', type: 'string'),
        new OA\Property(property: 'rungs', type: 'array', items: new OA\Items(required: ['symbol', 'other'], properties: [
            new OA\Property(property: 'symbol', type: 'string'),
            new OA\Property(property: 'other', description: 'whether it differs from the first ladder', type: 'boolean'),
        ], type: 'object')),
    ], type: 'object')),
])]
final class OfferForms extends Controller
{
    #[OA\Post(path: '/api/compute/forms', summary: 'Turnarounds and intros that fit a section, in its key',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'section', type: 'string', nullable: true),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/FormOffers'),
    )])]
    public function __invoke(DocumentRequest $request): JsonResponse
    {
        $desk = $request->desk();
        $key = $desk->setting->key;
        $figures = FigureLibrary::all();
        $first = $desk->breakdown->written()->chords[0]->chord ?? $key->tonicTriad();
        $coloured = static function (string $line): ?string {
            $with = TurnaroundFitter::coloured($line);

            return $with === $line ? null : $with;
        };

        return new JsonResponse([
            'turnarounds' => array_map(static fn (Turnaround $each): array => [
                'slug' => $each->slug,
                'name' => $each->name,
                'why' => $each->why,
                'back' => $each->back,
                'home' => $each->home,
                'coloured_back' => $coloured($each->back),
                'coloured_home' => $coloured($each->home),
            ], Turnaround::in($key)),
            'figures' => array_map(
                static fn (string $slug, array $each): array => ['slug' => $slug] + $each,
                array_keys($figures),
                $figures,
            ),
            'ladders' => array_map(static fn (IntroLadder $ladder): array => [
                'name' => $ladder->name,
                'line' => $ladder->line(),
                'rungs' => array_map(static fn (ChordSymbol $rung, int $place): array => [
                    'symbol' => $rung->text(),
                    'other' => in_array($place, $ladder->other, true),
                ], $ladder->rungs, array_keys($ladder->rungs)),
            ], IntroLadder::to($first, $key)),
        ]);
    }
}
