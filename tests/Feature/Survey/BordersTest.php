<?php

declare(strict_types=1);

it('lets two zones grade into each other, or meet sharply, as the artist says, and takes that back', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $before = change($study, 'proposeZones', ['most' => 12])->json('zones');
    // Six fields with hard edges: nothing grades by itself.
    expect(array_merge(...array_column($before['borders'], 'graded')))->toBe([])->and($before['borders'])->toHaveCount(7);
    ['one' => $one, 'other' => $other] = $before['borders'][0];
    $of = static fn (array $zones): array => collect($zones['borders'])->first(
        static fn (array $b): bool => $b['one'] === $one && $b['other'] === $other,
    );
    $graded = change($study, 'setBorder', ['zone' => $other, 'with' => $one, 'meets' => 'grades'])->assertOk();
    expect($of($graded->json('zones'))['said'])
        ->toBe('grades')
        ->and(count($of($graded->json('zones'))['graded'][0]))
        ->toBeGreaterThan(20)
        ->and($graded->json('undoWords'))
        ->toContain('let the border grade');
    expect($of(change($study, 'setBorder', ['zone' => $one, 'with' => $other, 'meets' => 'sharp'])->json('zones')))
        ->toMatchArray(['said' => 'sharp', 'graded' => []])
        ->and(
            $of(change($study, 'setBorder', ['zone' => $one, 'with' => $other, 'meets' => 'as the photo has it'])->json('zones'))['said'],
        )
        ->toBeNull();
    foreach (range(1, 3) as $_) {
        $back = $this->postJson("/api/studies/$study->id/survey/undo")->assertOk();
    }
    expect($back->json('zones'))->toEqual($before);
    $touching = array_merge(
        ...array_map(static fn (array $b): array => [[$b['one'], $b['other']], [$b['other'], $b['one']]], $before['borders']),
    );
    $apart = collect($before['list'])
        ->pluck('number')
        ->first(static fn (int $n): bool => $n !== $one && ! in_array([$one, $n], $touching, true));
    change($study, 'setBorder', ['zone' => $one, 'with' => $apart, 'meets' => 'grades'])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'no border together'));
    change($study, 'setBorder', ['zone' => $one, 'with' => $other, 'meets' => 'perhaps'])->assertUnprocessable();
});

it('tells the desk, the sheets and the outlines where zones grade, and draws the picture so', function () {
    [$study, $base] = deskOf($this);
    $borders = $this->getJson("/api/studies/$study->id/survey")->json('zones.borders');
    ['one' => $one, 'other' => $other] = $borders[0];
    $desk = fn (): array => collect($this->getJson($base)->assertOk()->json('steps'))->firstWhere('zone', $one);
    $images = fn (): string => (string) $this->get("/api/studies/$study->id/plan/image?step=9")
        ->assertOk()
        ->getContent();
    $lines = fn (): int => array_sum(
        array_map(
            count(...),
            linesOf(
                (string) $this->get("$base/outlines.pdf?size=a4")
                    ->assertOk()
                    ->getContent(),
            ),
        ),
    );
    expect($desk()['runsOut'])->toBeNull();
    [$sharp, $drawn] = [$images(), $lines()];
    change($study, 'setBorder', ['zone' => $one, 'with' => $other, 'meets' => 'grades'])->assertOk();
    expect($desk()['runsOut'])
        ->toMatch('/^Let it run out over the border to “.+”, about \d+ mm\.$/')
        ->and($images())
        ->not->toBe($sharp)
        ->and($lines())
        ->toBeLessThan($drawn);
    $zones = collect($this->getJson($base)->json('zones'));
    expect($zones->firstWhere('number', $one)['graded'])->toHaveCount(1);
    $this->get("/api/studies/$study->id/plan/zones.pdf")->assertOk();
    // What is laid is what was planned: no plan follows from how borders meet.
    expect($this->getJson($base)->json('unplanned'))->toBeNull();
});
