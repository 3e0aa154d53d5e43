<?php

declare(strict_types=1);

namespace App\Http\Controllers\Grips;

use App\Http\Controllers\Controller;
use App\Http\Requests\OwnGripRequest;
use App\Http\Resources\GripResource;
use App\Models\Grip;
use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Failure\GripNotReadable;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Grip\GripNamer;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class KeepGrip extends Controller
{
    #[OA\Post(path: '/api/grips', summary: 'Give a grip a name of your own; the same name again replaces it',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['name', 'symbol', 'frets'], properties: [
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'symbol', type: 'string'),
        new OA\Property(property: 'frets', description: 'low to high, such as x 3 2 3 3 x', type: 'string'),
        new OA\Property(property: 'tuning', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'kept',
        content: new OA\JsonContent(ref: '#/components/schemas/OwnGrip'),
    )])]
    public function __invoke(OwnGripRequest $request): JsonResponse
    {
        $neck = $request->neck();
        $finder = new VoicingFinder($neck);
        $chord = ChordSymbol::parse($request->string('symbol')->toString());
        $frets = GripNamer::parse($request->string('frets')->toString(), $neck->tuning->strings());
        $finder->voicing($chord, $frets) ?? throw new GripNotReadable($request->string('frets')->toString(), $neck->tuning->strings());
        $grip = Grip::query()->updateOrCreate(
            ['owner_id' => $this->user($request)->id, 'name' => trim($request->string('name')->toString())],
            ['symbol' => $chord->text(), 'tuning' => $neck->tuning->slug, 'frets' => $frets],
        );

        return new JsonResponse(GripResource::of($grip, $chord, $neck, $finder));
    }
}
