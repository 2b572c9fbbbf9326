using System.Globalization;
using System.Xml;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Traces;

/// <summary>A GPX file (1.0 or 1.1), read as it streams by: a million points take no more memory than ten.</summary>
/// <remarks>No document type and no entity of one is taken: they can grow without end, or read other files.</remarks>
internal sealed class GpxTrace(Stream stream) : TraceReader
{
    private const double KmhPerMs = 3.6;

    private static readonly XmlReaderSettings Settings = new()
    {
        DtdProcessing = DtdProcessing.Prohibit,
        XmlResolver = null,
        IgnoreComments = true,
        IgnoreProcessingInstructions = true,
        IgnoreWhitespace = true,
    };

    /// <exception cref="InvalidInputException">It is no GPX, or has a document type.</exception>
    protected override IEnumerable<TracePoint> Read()
    {
        using XmlReader xml = XmlReader.Create(stream, Settings);
        if (!MoveTo(xml, "gpx", isFirst: true))
            throw new InvalidInputException("file", "no_trace", "This is no GPX file.");
        while (MoveTo(xml, "trkpt"))
            if (Point(xml) is { } point)
                yield return point;
    }

    private bool MoveTo(XmlReader xml, string name, bool isFirst = false)
    {
        try
        {
            while (xml.Read())
                if (xml.NodeType == XmlNodeType.Element && (isFirst || xml.LocalName == name))
                    return xml.LocalName == name;
        }
        catch (XmlException e)
        {
            Cut(xml, e);
        }
        return false;
    }

    private TracePoint? Point(XmlReader xml)
    {
        double? latitude = Number(xml.GetAttribute("lat"));
        double? longitude = Number(xml.GetAttribute("lon"));
        string? time = null;
        double? speedMs = null;
        try
        {
            int depth = xml.Depth;
            while (!xml.IsEmptyElement && xml.Read() && xml.Depth > depth)
                if (xml is { NodeType: XmlNodeType.Element, LocalName: "time" } && xml.Depth == depth + 1)
                    time = TextOf(xml);
                else if (xml is { NodeType: XmlNodeType.Element, LocalName: "speed" })
                    speedMs = Number(TextOf(xml));
        }
        catch (XmlException e)
        {
            Cut(xml, e);
            return null;
        }
        if (time is null)
            WithoutTime++;
        else if (latitude is null || longitude is null || !IsMoment(time, out DateTimeOffset at))
            Unreadable++;
        else
            return new(at.UtcTicks / (double)TimeSpan.TicksPerSecond, speedMs * KmhPerMs, latitude, longitude, null);
        return null;
    }

    /// <summary>Without going past what follows it.</summary>
    private static string TextOf(XmlReader xml)
    {
        if (xml.IsEmptyElement)
            return "";
        string text = "";
        int depth = xml.Depth;
        while (xml.Read() && xml.Depth > depth)
            text += xml.Value;
        return text;
    }

    private void Cut(XmlReader xml, XmlException e)
    {
        if (xml.ReadState == ReadState.Error && e.Message.Contains("DTD", StringComparison.Ordinal))
            throw new InvalidInputException(
                "file",
                "document_type",
                "This file declares a document type, which can make it grow without end. Leave that out."
            );
        IsCut = true;
    }

    private static bool IsMoment(string text, out DateTimeOffset at) =>
        DateTimeOffset.TryParse(text.Trim(), CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out at);

    private static double? Number(string? text) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out double number)
        && double.IsFinite(number)
            ? number
            : null;
}
