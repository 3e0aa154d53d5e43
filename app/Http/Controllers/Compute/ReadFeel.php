<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\FeelRequest;
use Gravik\Time\SwingUnit;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ReadFeel extends Controller
{
    #[OA\Post(path: '/api/compute/feel', summary: 'A feel typed as a name, a ratio or a share',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['typed', 'unit'], properties: [
        new OA\Property(property: 'typed', type: 'string'),
        new OA\Property(property: 'unit', type: 'string', enum: SwingUnit::class),
    ])), responses: [new OA\Response(response: 200, description: 'computed', content: new OA\JsonContent(required: ['feel'], properties: [
        new OA\Property(property: 'feel', type: 'object'),
    ]))])]
    public function __invoke(FeelRequest $request): JsonResponse
    {
        $feel = $request->feel();

        return new JsonResponse(['feel' => ['mode' => $feel->mode->value, 'ratio' => $feel->ratio, 'unit' => $feel->unit->value]]);
    }
}
