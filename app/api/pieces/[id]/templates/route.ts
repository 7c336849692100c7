import { writeTemplates } from "../../../../../core/formats/template-dxf";
import { planPiece } from "../../../../../core/plan";
import { templatesOf } from "../../../../../core/templates/templates";
import { savedInputs } from "../../../../../store/inputs";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, isoToday, noPiece, refuse, route } from "../../../answer";

/** The piece's templates as DXF, all of them or the one that is asked for. */
export const GET = route(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  const saved = isId(id) ? await savedInputs(await currentWorkshop(), id, isoToday()) : null;
  if (!saved) return noPiece();
  const of = new URL(request.url).searchParams.get("of");
  const all = templatesOf(planPiece(saved.inputs).assembly.parts);
  const asked = of === null ? all : all.filter((each) => each.id === of);
  if (asked.length === 0)
    return refuse(
      of === null
        ? "Every line of this piece is straight: it has no template."
        : "This piece has no such template: its form may have changed. Open its templates again.",
      404,
    );
  return new Response(writeTemplates(asked), {
    headers: {
      "content-type": "image/vnd.dxf",
      "content-disposition": `attachment; filename="${of === null ? "templates" : asked[0].id}.dxf"`,
    },
  });
});
