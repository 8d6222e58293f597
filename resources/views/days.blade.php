@extends('paper')
@section('title', 'Day sheets')
@section('sheets')
    @forelse ($days as $n => $day)
        <div class="sheet">
            <div class="head">
                <h1>{{ \Illuminate\Support\Carbon::parse($day['day'])->format('l j F Y') }}</h1>
                <b>{{ $job }}</b><br>
                <span class="small">day {{ $n + 1 }} of {{ count($days) }}
                    · {{ $day['people'] === 1 ? 'one person' : 'two people' }}
                    · until about {{ $day['end'] }}</span>
            </div>
            <table>
                <tr><th></th><th>When</th><th>Who</th><th>What</th><th class="right">Minutes</th></tr>
                @foreach ($day['rows'] as $row)
                    <tr>
                        <td><span class="box"></span></td>
                        <td class="nowrap">{{ $row['from'] }}–{{ $row['to'] }}</td>
                        <td>{{ $row['who'] }}</td>
                        <td>
                            <b>{{ $row['title'] }}</b> <span class="small">{{ $row['place'] }}</span><br>
                            <span class="small">{{ $row['why'] }} {{ $row['note'] }}</span>
                            @if ($row['caution'] !== '')
                                <div class="caution">{{ $row['caution'] }}</div>
                            @endif
                        </td>
                        <td class="right nowrap">about {{ $row['minutes'] }}<br><span class="small">took</span> <span class="line">&nbsp;</span></td>
                    </tr>
                @endforeach
            </table>
            @if ($day['tools'] !== [])
                <h2>Tools</h2>
                <p>{{ implode(', ', $day['tools']) }}</p>
            @endif
            @if ($day['parts'] !== [])
                <h2>Parts for the day</h2>
                <p>
                    @foreach ($day['parts'] as $part)
                        {{ $part['name'] }} <span class="small">({{ $part['state'] }})</span>{{ $loop->last ? '' : ' · ' }}
                    @endforeach
                </p>
            @endif
            <p class="small">@if ($mains)Work on mains is for a licensed person; local codes decide. @endif{{ '' }}Enter the minutes at Build afterwards.</p>
        </div>
    @empty
        <div class="head"><h1>No work left</h1><b>{{ $job }}</b></div>
    @endforelse
@endsection
