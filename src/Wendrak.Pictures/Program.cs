using System.Text.Json;
using Wendrak.Pictures;

// Opens one picture in a process of its own: what it takes is given back, and a file that spoils it spoils nothing else.
if (args is not [string source, string kept, string small])
{
    Console.Error.WriteLine("Wendrak.Pictures FILE KEPT SMALL");
    return 2;
}
Console.WriteLine(JsonSerializer.Serialize(PictureMaking.Make(source, kept, small)));
return 0;
