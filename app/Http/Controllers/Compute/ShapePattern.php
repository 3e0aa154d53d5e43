<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\PatternChanger;
use Gravik\Breakdown\Desk;
use Gravik\Formats\BreakdownJson;
use Gravik\Strokes\Shaping\AccentProfile;
use Gravik\Strokes\Shaping\LengthProfile;
use Gravik\Strokes\Shaping\PatternShaper;
use Gravik\Time\Meter;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ShapePattern extends Controller
{
    #[OA\Post(path: '/api/compute/shape',
        summary: 'The document with its pattern laid out anew: another grid, bars or meter, accents, lengths, or as it is counted',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'meter', type: 'string'),
        new OA\Property(property: 'bars', type: 'integer'),
        new OA\Property(property: 'grid', type: 'integer'),
        new OA\Property(property: 'beat', description: 'the one to be divided anew, from 0', type: 'integer'),
        new OA\Property(property: 'division', description: 'of that beat', type: 'integer'),
        new OA\Property(property: 'copy_bar', description: 'ticks of a place in the bar that the others become like', type: 'integer'),
        new OA\Property(
            property: 'exchange_beat',
            description: 'ticks of a place in the beat whose rhythms the two lines exchange',
            type: 'integer',
        ),
        new OA\Property(property: 'accents', type: 'string', enum: AccentProfile::class),
        new OA\Property(property: 'lengths', type: 'string', enum: LengthProfile::class),
        new OA\Property(property: 'counted', description: 'one line of the pattern as it is counted aloud', type: 'string'),
        new OA\Property(property: 'line', description: 'that was counted, from 0', type: 'integer'),
    ])), responses: [new OA\Response(response: 200, description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
    ]))])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        return new JsonResponse(['document' => $json->write($this->changed($request, $request->desk(), new PatternChanger()))]);
    }

    private function changed(DocumentRequest $request, Desk $desk, PatternChanger $changer): Breakdown
    {
        return match (true) {
            $request->filled('counted') => $changer->recount($desk, $request->string('counted')->toString(), $request->integer('line')),
            $request->has('beat') => $desk->with((new PatternShaper())->withBeatDivided(
                $desk->pattern(),
                $request->integer('beat'),
                $request->integer('division'),
            )),
            $request->has('copy_bar') => $desk->with((new PatternShaper())->withBarCopied($desk->pattern(), $request->integer('copy_bar'))),
            $request->has('exchange_beat') => $desk->with((new PatternShaper())->withBeatExchanged(
                $desk->pattern(),
                $request->integer('exchange_beat'),
            )),
            $request->hasAny(['accents', 'lengths']) => $changer->profile($desk,
                $request->filled('accents') ? AccentProfile::parse($request->string('accents')->toString()) : null,
                $request->filled('lengths') ? LengthProfile::parse($request->string('lengths')->toString()) : null,
            ),
            $request->filled('meter') => $this->inMeter($request, $desk, $changer),
            default => $changer->shape(
                $desk,
                $request->integer('bars', $desk->pattern()->bars()),
                $request->integer('grid', $desk->pattern()->grid()),
            ),
        };
    }

    private function inMeter(DocumentRequest $request, Desk $desk, PatternChanger $changer): Breakdown
    {
        $changed = $desk->in($changer->meter($desk->breakdown, Meter::parse($request->string('meter')->toString())));

        return $request->hasAny(['bars', 'grid'])
            ? $changer->shape(
                $changed,
                $request->integer('bars', $changed->pattern()->bars()),
                $request->integer('grid', $changed->pattern()->grid()),
            )
            : $changed->breakdown;
    }
}
