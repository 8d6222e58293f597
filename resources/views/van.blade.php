@extends('paper')
@section('title', 'To pack')
@section('sheets')
    <div class="head">
        <h1>To pack</h1>
        <b>{{ $job }}</b><br>
        <span class="small">{{ $printed }}, by the day on which it is first used</span>
    </div>
    @foreach ($van['groups'] as $group)
        <h2>{{ $group['day'] === '' ? 'Besides' : \Illuminate\Support\Carbon::parse($group['day'])->format('l j F') }}</h2>
        <table>
            <tr><th></th><th class="right">Quantity</th><th>Item</th><th>Status</th></tr>
            @foreach ($group['parts'] as $part)
                <tr>
                    <td class="tick"><span class="box"></span></td>
                    <td class="right nowrap buy">{{ $part['buy'] }}</td>
                    <td><b>{{ $part['name'] }}</b><br><span class="small">{{ $part['for'] }}</span></td>
                    <td class="nowrap state">{{ $part['state'] }}</td>
                </tr>
            @endforeach
        </table>
    @endforeach
    @if ($van['offcuts'] !== [])
        <h2>Offcuts</h2>
        <p>
            @foreach ($van['offcuts'] as $offcut)
                <span class="box"></span> {{ $offcut }}<br>
            @endforeach
        </p>
    @endif
    <h2>Tools</h2>
    <p>
        @foreach ($van['tools'] as $tool)
            <span class="nowrap"><span class="box"></span> {{ $tool }} &nbsp; </span>
        @endforeach
    </p>
@endsection
